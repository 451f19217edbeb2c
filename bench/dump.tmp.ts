import { readFileSync } from 'node:fs';
import { assess } from '#core/assess';
import { repairOf } from '#core/planning/repair';
import { coursesOf } from '#core/planning/course';
import { composeReport } from '#core/report/compose';
import { demoInspection } from '#core/testing/demo-inspections';
for (const name of process.argv.slice(2)) {
  const a = assess(name.endsWith('json') ? JSON.parse(readFileSync(name,'utf8')) : demoInspection(name));
  const r = repairOf(a);
  const report = composeReport(a);
  console.log('=====', name, r.pick.planId, report.headline);
  for (const f of a.findings) { const c = coursesOf(r).get(f.id)!; console.log(' F', f.number, f.kind, f.severity, f.action, f.responsibleSide, '|', c.does, c.when, c.methods.join(','), '!', c.excludes.join(','), c.everyYears, '|', c.says.map(s=>s.text).join(' / ')); }
  for (const s of report.steps) console.log('  STEP', s.byOn, s.text);
}
