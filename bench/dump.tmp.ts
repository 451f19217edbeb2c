import { assess } from '#core/assess';
import { repairOf } from '#core/planning/repair';
import { demoInspection } from '#core/testing/demo-inspections';
for (const name of process.argv.slice(2)) {
  const a = assess(demoInspection(name));
  const r = repairOf(a);
  console.log('=====', name, a.lateral.segments.map(s=>`${s.fromFt.toFixed(0)}-${s.toFt.toFixed(0)} ${s.material} ${s.zone} ${s.responsibleSide}`).join(' | '), [...r.site.waysIn.entries()].map(([k,v])=>k+':'+v.name+'@'+v.stationFt.toFixed(1)+(v.opener??'')).join());
  for (const f of a.findings) console.log(' F', f.number, f.kind, f.span.fromFt.toFixed(1), f.span.toFt.toFixed(1), f.severity, f.action, f.responsibleSide, f.courtesy?'courtesy':'', f.lineId);
  for (const p of r.plans) {
    console.log(' PLAN', p.id, r.pick.planId===p.id?'*':'', Math.round(p.cost.low), Math.round(p.cost.likely), Math.round(p.cost.high), 'settles', p.settles.length, 'holds', p.holds.length, 'leaves', p.leaves.length, p.complete, p.isUnproved??'');
    for (const w of p.works) console.log('   ', w.extent, w.method, w.lineId, w.fromFt.toFixed(1), w.toFt.toFixed(1), Math.round(w.cost.likely), 'cures', w.cures.join(), 'holds', w.holds.join(), w.isFirst?'first':'', w.visit?.from ?? '');
  }
  console.log(r.pick.because.join('\n'));
}
