import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { assess } from '#core/assess';
import { readInspectionFile, writeInspectionFile } from '#core/interchange/inspection-file';
import type { Finding } from '#core/judge/finding';
import { isLogged } from '#core/judge/finding';
import type { Inspection } from '#core/model/job/inspection';
import { inOrderOfWork } from '#core/report/headline';
import type { RigSetup } from '#core/simulator/rig';
import type { LateralTruth } from '#core/simulator/truth';
import { truthOfLog } from '#core/simulator/truth-of-log';
import { DEFAULT_PREFERENCES } from '#core/site/equipment';
import { CHROMIUM_WITH_GL } from '../e2e/chromium';

/**
 * Draws the stills of the demo jobs with the simulated camera and names them in their logs: `npm run
 * demo-stills`, after a demo log or the picture has changed. The files are committed.
 */
const DEMO = 'demo';
const SIZE = [640, 400] as const;
/** How far before a finding the lens looks at it, feet. */
const BEFORE_FT = 0.85;
/** A stretch is looked at from so far along it; a pool from its shallow end, over the water. */
const ALONG_STRETCH = 1 / 3;
const ALONG_POOL = 0.12;
const MOST_STILLS = 4;

type Draw = (
  truth: LateralTruth,
  setup: RigSetup,
  stations: readonly number[],
  size: readonly [number, number],
) => Promise<string[]>;

const setup: RigSetup = {
  accessId: 'A',
  facing: 'downstream',
  headDiameterIn: 1.7,
  aid: 'skid',
  headLevels: true,
  equipment: DEFAULT_PREFERENCES.equipment,
};

/** One still for each finding that asks for work, and for the worst of the rest. */
function pick({ findings, lateral }: ReturnType<typeof assess>): Finding[] {
  return inOrderOfWork(findings)
    .filter(
      (finding) =>
        isLogged(finding) &&
        finding.placed &&
        !finding.inRiser &&
        finding.lineId === lateral.lineId &&
        finding.action !== 'none',
    )
    .slice(0, MOST_STILLS);
}

function withStills(inspection: Inspection, names: ReadonlyMap<string, string>): Inspection {
  return {
    ...inspection,
    runs: inspection.runs.map((run) => ({
      ...run,
      entries: run.entries.map((entry) => {
        const name = names.get(entry.id);
        return name === undefined ? entry : { ...entry, photoIds: [name] };
      }),
    })),
  };
}

const bundle = 'node_modules/.cache/demo-stills-page.js';
await build({
  entryPoints: ['scripts/demo-stills-page.ts'],
  outfile: bundle,
  bundle: true,
  format: 'iife',
  logLevel: 'error',
});
const browser = await chromium.launch(CHROMIUM_WITH_GL);
const page = await browser.newPage();
await page.addScriptTag({ path: bundle });
for (const file of readdirSync(DEMO).filter((name) => name.endsWith('.chert.json'))) {
  const read = readInspectionFile(readFileSync(join(DEMO, file), 'utf8'));
  if (!read.ok) throw new Error(`demo/${file} cannot be read`);
  const assessment = assess(read.value);
  const chosen = pick(assessment);
  if (chosen.length === 0) continue;
  const { truth, shiftFt } = truthOfLog(assessment);
  const stations = chosen.map(({ span: { fromFt, toFt }, kind }) => {
    const lengthFt = toFt - fromFt;
    const along = kind === 'standing-water' ? ALONG_POOL : ALONG_STRETCH;
    return Math.max(0.2, fromFt + shiftFt + (lengthFt > 2 ? lengthFt * along : -BEFORE_FT));
  });
  const stills = await page.evaluate(
    ([...given]) => (window as unknown as { drawStills: Draw }).drawStills(...given),
    [truth, setup, stations, SIZE] as const,
  );
  const folder = join(DEMO, 'stills', read.value.job.id);
  mkdirSync(folder, { recursive: true });
  const names = new Map<string, string>();
  for (const [index, finding] of chosen.entries()) {
    const name = `still-${index + 1}`;
    const bytes = Buffer.from(stills[index]!.split(',')[1]!, 'base64');
    writeFileSync(join(folder, `${name}.jpg`), bytes);
    names.set(finding.entryIds[0]!, name);
    console.log(`${folder}/${name}.jpg: ${finding.kind}, ${Math.round(bytes.length / 1024)} kB`);
  }
  writeFileSync(join(DEMO, file), writeInspectionFile(withStills(read.value, names)));
}
await browser.close();
