import { describe, expect, it } from 'vitest';
import { entries } from '#core/testing/build';
import { revised, stillDraft, takingBack } from './entries';

const [crack] = entries({ kind: 'defect', defect: 'crack', form: 'open', readingFt: 30 });
const at = { pass: 'back', readingFt: 12 } as const;

describe('drafts over an entry', () => {
  it('say it again in its place, with what is changed and without what is taken out', () => {
    const { id, at: _at, ...facts } = crack!;
    expect(revised(crack!, { form: undefined, certainty: 'suspected' })).toEqual({
      kind: 'defect',
      defect: 'crack',
      pass: facts.pass,
      readingFt: 30,
      certainty: 'suspected',
      replaces: id,
    });
  });

  it('take it back where it stood', () => {
    expect(takingBack(crack!)).toEqual({
      kind: 'retract',
      pass: crack!.pass,
      readingFt: 30,
      retracts: crack!.id,
    });
  });

  it('add a still to what it shows, after the stills it has', () => {
    expect(stillDraft('p2', { ...crack!, photoIds: ['p1'] }, at)).toMatchObject({
      photoIds: ['p1', 'p2'],
      readingFt: 30,
      replaces: crack!.id,
    });
    expect(stillDraft('p1', null, at)).toEqual({ kind: 'photo', ...at, photoIds: ['p1'] });
  });
});
