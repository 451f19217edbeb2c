import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export const LIGHTS = ['daylight', 'crawlspace'] as const;
export type Light = (typeof LIGHTS)[number];

/** Expects that axe finds nothing to complain of; a light after the first changes colors, and nothing else. */
export async function expectAccessible(page: Page, light: Light = LIGHTS[0]): Promise<void> {
  const axe = new AxeBuilder({ page });
  if (light !== LIGHTS[0]) axe.withRules('color-contrast');
  const { violations } = await axe.analyze();
  const told = violations.map(({ id, nodes }) => [page.url(), id, nodes.map(({ html }) => html)]);
  expect(told).toEqual([]);
}
