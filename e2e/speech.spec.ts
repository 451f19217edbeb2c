import { expect } from '@playwright/test';
import { bookJob, callOut, expectSaved, loggedOnServer, startRun } from './scope';
import { test } from './test';

/** A scope as somebody talks it, a line at a time. */
const SPOKEN = [
  'all right here we go',
  'zeroed at the rim',
  'no water running',
  "we're in four inch cast iron from the start",
  'pretty heavy scale 1 to 9',
  'no holes though',
  'dog is barking',
  'goes from cast iron to six inch clay at 9.5',
  'quarter inch lip there',
  'let me back up a little',
  'joint at 14 looks good',
  'no roots no offset at 17',
  'slight offset at 20',
  "okay there's some roots coming in at the joint at 24",
  'make that 25 percent',
  "I'd keep an eye on that",
  'no bellies so far',
  'heading toward the driveway',
  'driveway starts at 27',
  'tee coming in from the left at 29',
  "couldn't find the cleanout",
  'hairline crack along the top at 31',
  'not a break',
  'let’s run some water',
  'water on',
  'water goes right by',
  'water off',
  "it's draining now",
  'drained',
  'standing water from 34',
  'about two inches deep in here I guess',
  'standing water to 41, 2 in',
  'no debris in it',
  'offset half an inch at 44 and a slight one at 47',
  'gap one inch at 50, you can see dirt',
  'that needs to be dug up',
  "don't line this",
  'roots and grease at 53',
  'customer is worried about roots',
  'property line at 56',
  'under the sidewalk now',
  'street at 60',
  'clay turns into 6 inch PVC at 62',
  'clean to here',
  'scratch that',
  'PVC looks great from 62 to 75',
  'on the way to the main',
  'not at the main yet',
  'no cracks from 62 to 75',
  "there's the main at 78, I can see it",
  'coming back now',
  'on the way back roots at 53 look more like 40 percent',
  'phone is ringing',
  'nothing else on the way back',
  'clay will need a liner',
  'have the roots cut every year',
  'home 0.4',
  'seller says it was snaked two years ago',
  'house was built in 1961',
  'thanks everybody',
];

test('a whole scope typed as people speak ends in the right report', async ({ page }) => {
  test.setTimeout(180_000);
  const id = await bookJob(page, '12 Slate Way');
  await startRun(page);
  for (const text of SPOKEN) await callOut(page, text);
  await expectSaved(page);
  const entries = await loggedOnServer(page, id);
  const gone = new Set(
    entries.flatMap(({ replaces, retracts }) =>
      [replaces, retracts].filter((one) => one !== undefined),
    ),
  );
  const standing = entries.filter((entry) => !gone.has(entry.id as string));
  const seen = standing
    .filter(({ kind }) => kind === 'defect')
    .map(({ defect, readingFt }) => `${String(defect)} ${String(readingFt)}`);
  expect(seen.sort()).toEqual(
    [
      'scale 1',
      'lip 9.5',
      'offset 20',
      'roots 24',
      'crack 31',
      'standing-water 34',
      'offset 44',
      'offset 47',
      'gap 50',
      'roots 53',
      'grease 53',
      'roots 53',
    ].sort(),
  );
  const kinds = standing.map(({ kind }) => kind);
  expect(kinds.filter((kind) => kind === 'end')).toHaveLength(1);
  expect(kinds.filter((kind) => kind === 'flag')).toEqual([]);
  expect(standing.filter(({ kind }) => kind === 'advice').map(({ does }) => does)).toEqual([
    'monitor',
    'dig',
    'liner',
    'liner',
    'cut',
  ]);
  const pipes = standing.filter(({ kind }) => kind === 'material').map(({ material }) => material);
  expect(pipes).toEqual(['cast-iron', 'cast-iron', 'vitrified-clay', 'vitrified-clay', 'pvc']);

  await page.goto(`/jobs/${id}/report`);
  const sheet = page.locator('main');
  await expect(sheet).toContainText(
    'The inspector looked for roots and pipe ends out of line at 17 ft',
  );
  await expect(sheet).toContainText('“clay will need a liner”');
  await expect(sheet).toContainText("“don't line this”");
  await expect(sheet).toContainText('seller says it was snaked two years ago');
  await page.goto(`/jobs/${id}/site`);
  await expect(page.getByLabel('Year built')).toHaveValue('1961');
});

test('a question takes no keys: typing goes on, Enter again takes the first reading', async ({
  page,
}) => {
  const id = await bookJob(page, '13 Slate Way');
  await startRun(page);
  const line = page.getByLabel('Call out what you see');
  await line.pressSequentially('infiltration at 10');
  await line.press('Enter');
  await expect(page.getByText('Which is it?')).toBeVisible();
  await expect(line).toBeFocused();
  await line.pressSequentially(' ft');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  // What cannot be is replaced by what is said next, and never glued to it.
  await line.pressSequentially('standing water 48 in deep');
  await line.press('Enter');
  await expect(line).toHaveValue('standing water 48 in deep');
  await line.pressSequentially('crack at 12 ft');
  await expect(line).toHaveValue('crack at 12 ft');
  await line.press('Enter');
  await line.pressSequentially('home');
  await line.press('Enter');
  await expect(page.getByText('the zero, 0.0 ft')).toBeVisible();
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expectSaved(page);
  const entries = await loggedOnServer(page, id);
  expect(entries.map(({ kind, readingFt }) => [kind, readingFt])).toEqual([
    ['defect', 10],
    ['defect', 12],
    ['home', 0],
  ]);
});

test('a word that Chert does not know is taught with one press', async ({ page }) => {
  const id = await bookJob(page, '14 Slate Way');
  await startRun(page);
  const line = page.getByLabel('Call out what you see');
  await line.fill('spaghetti 31');
  await page.getByLabel('Call “spaghetti”').selectOption({ label: 'Roots' });
  await expect(line).toBeFocused();
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await page.reload();
  await callOut(page, 'spaghetti 36');
  await expectSaved(page);
  const entries = await loggedOnServer(page, id);
  expect(entries.map(({ defect, readingFt }) => [defect, readingFt])).toEqual([
    ['roots', 31],
    ['roots', 36],
  ]);
});
