import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { build } from 'esbuild';
import type { RigSetup } from '#core/simulator/rig';
import { planRuns } from '#core/simulator/script/scope-lateral';
import type { LateralTruth } from '#core/simulator/truth';
import { DEFAULT_PREFERENCES } from '#core/site/equipment';
import { CHROMIUM_WITH_GL } from '../e2e/chromium';

const CACHE = 'node_modules/.cache';

/** The first run of a lateral, with the largest head that gets far. */
export function setupOf(truth: LateralTruth): RigSetup {
  const [plan] = planRuns(truth);
  const { equipment } = DEFAULT_PREFERENCES;
  const head = equipment.heads.find(({ name }) => name === plan!.head)!;
  return {
    accessId: plan!.accessId,
    facing: plan!.facing,
    headDiameterIn: head.diameterIn,
    aid: 'none',
    headLevels: true,
    equipment,
  };
}

/** Opens a script that draws with the rig in Chromium with software GL. */
export async function onRigPage<Result>(
  script: string,
  work: (page: Page) => Promise<Result>,
): Promise<Result> {
  mkdirSync(CACHE, { recursive: true });
  const outfile = `${CACHE}/${script.replaceAll('/', '-').replace(/ts$/, 'js')}`;
  await build({ entryPoints: [script], outfile, bundle: true, format: 'iife', logLevel: 'error' });
  const browser = await chromium.launch(CHROMIUM_WITH_GL);
  try {
    const page = await browser.newPage();
    await page.addScriptTag({ path: outfile });
    return await work(page);
  } finally {
    await browser.close();
  }
}
