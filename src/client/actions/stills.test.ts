import { describe, expect, it } from 'vitest';
import type { EntryDraft } from '#core/model/log/entry';
import { entries, type Said } from '#core/testing/build';
import { settleStill, stillTarget } from './stills';

const ROOTS: Said = { kind: 'defect', defect: 'roots', readingFt: 20 };
const PHOTO: Said = { kind: 'photo', photoIds: ['p1'], readingFt: 20 };
const draft = (more: object): EntryDraft => ({
  pass: 'out',
  readingFt: 20,
  kind: 'defect',
  defect: 'crack',
  ...more,
});

describe('what a still belongs to', () => {
  it('is what is chosen, else what was logged here, else nothing yet', () => {
    const log = entries(ROOTS);
    expect(stillTarget(log, log[0]!, 90)).toBe(log[0]);
    expect(stillTarget(log, null, 20.4)).toBe(log[0]);
    expect(stillTarget(log, null, 21)).toBeNull();
    expect(stillTarget([], null, 20)).toBeNull();
  });
});

describe('a still that waited', () => {
  it('goes to the next thing logged near it, which settles it', () => {
    const log = entries(ROOTS, PHOTO);
    expect(settleStill(log, [draft({})])).toMatchObject([{ photoIds: ['p1'], replaces: 'e2' }]);
  });
  it.each([
    ['another came between', entries(PHOTO, ROOTS), draft({})],
    ['it was taken elsewhere', entries(PHOTO), draft({ readingFt: 22 })],
    ['what is said shows nothing', entries(PHOTO), draft({ kind: 'water', state: 'drained' })],
    ['what is said corrects something', entries(PHOTO), draft({ replaces: 'e9' })],
    ['no footage was said', entries(PHOTO), draft({ readingFt: null })],
  ])('stays by itself when %s', (_why, log, said) => {
    expect(settleStill(log, [said])).toEqual([said]);
  });
});
