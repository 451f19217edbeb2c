import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { CHERT_TEXTS, type Firm, missesState } from '../model/firm/firm';
import { withFirm } from '../model/firm/with-firm';
import type { Inspection } from '../model/job/inspection';
import { inspectionOf } from '../testing/build';
import { demoInspection } from '../testing/demo-inspections';
import { blocksOf, jobOf, listOf, of } from '../testing/report-blocks';
import { composeReport } from './compose';
import { freezeReport } from './frozen';

const FIRM: Firm = {
  name: 'Marlpit Sewer Scopes',
  phone: '555-0140',
  license: 'HI-00000',
  inspector: 'R. Vale',
  texts: { terms: 'Ours.\nTwo lines.', reliance: '' },
  textsOn: '2026-11-28',
};
describe('who signs', () => {
  const signed = (one: Inspection) => withFirm(one, FIRM);

  it('stands at the head and the foot, with the firm’s own words and their day', () => {
    const vale = (one: Inspection) => signed({ ...one, job: { ...one.job, inspector: 'R. Vale' } });
    const blocks = blocksOf([], vale);
    expect(of(blocks, 'masthead')[0]!.firm).toEqual({
      name: 'Marlpit Sewer Scopes',
      lines: ['555-0140', 'License HI-00000'],
      logo: null,
    });
    expect(of(blocks, 'signature')).toEqual([
      expect.objectContaining({ lines: ['License HI-00000', FIRM.name], signedOn: null }),
    ]);
    expect(listOf(blocks, 'What was looked at')).toEqual([CHERT_TEXTS.standard]);
    expect(listOf(blocks, 'Terms')).toEqual([
      'Ours.',
      'Two lines.',
      'These words are of 28 November 2026.',
    ]);
    // An empty one is not printed.
    expect(listOf(blocks, 'For whom this report is')).toBeUndefined();
  });

  it('is left out cleanly where nobody said it', () => {
    const blocks = blocksOf([], (one) => ({ ...one, job: { ...one.job, inspector: '' } }));
    expect(of(blocks, 'masthead')[0]!.firm).toBeNull();
    expect(of(blocks, 'signature')).toEqual([]);
    expect(JSON.stringify(blocks)).not.toMatch(/undefined|Agent:|Weather:|License [A-Z]/);
  });

  it('a job’s own firm stands over that of today', () => {
    const kept = { ...inspectionOf([]), settings: { firm: { name: 'Before' } } };
    expect(withFirm(kept, FIRM).settings.firm).toEqual({ name: 'Before' });
    expect(withFirm(kept, undefined)).toBe(kept);
  });

  it('says for whom, when, with whom, in what weather and with what', () => {
    const items = listOf(
      composeReport(assess(demoInspection('alder-bend'))).blocks,
      'How it was inspected',
    )!;
    expect(items.slice(0, 6)).toEqual([
      'For The Okafor family.',
      'Agent: T. Penhallow.',
      'Looked at on 3 November 2026, from 9:10 am.',
      'Present: the buyer.',
      'Weather: dry, 61 °F; light rain two days before.',
      'Equipment: push camera, standard head, skid.',
    ]);
  });

  it('puts a signature under no other name', () => {
    const signature = 'data:image/png;base64,iVBORw0KGgo=';
    const imageFor = (inspector: string) =>
      of(
        blocksOf([], (one) =>
          withFirm({ ...one, job: { ...one.job, inspector } }, { ...FIRM, signature }),
        ),
        'signature',
      )[0]!.image;
    expect(imageFor('R. Vale')).toBe(signature);
    expect(imageFor('')).toBe(signature);
    expect(imageFor('S. Other')).toBeNull();
  });

  it('puts a license and a signature under whose they are, in a firm of several', () => {
    const drawn = (letter: string) => `data:image/png;base64,${letter.repeat(4)}`;
    const firm = { ...FIRM, signature: drawn('f') };
    const lineFor = (inspector: string, signer?: Firm['signer']) => {
      const { lines, image } = of(
        blocksOf([], (one) =>
          withFirm(
            { ...one, job: { ...one.job, inspector } },
            signer === undefined ? firm : { ...firm, signer },
          ),
        ),
        'signature',
      )[0]!;
      return [lines[0], image];
    };
    const own = { name: 'S. Other', license: 'HI-7', signature: drawn('o') };
    expect(lineFor('S. Other', own)).toEqual(['License HI-7', drawn('o')]);
    expect(lineFor('', own)).toEqual(['License HI-7', drawn('o')]);
    // Somebody without a license of their own carries nobody else's.
    expect(lineFor('S. Other', { name: 'S. Other' })).toEqual([FIRM.name, null]);
    expect(lineFor('S. Other')).toEqual([FIRM.name, null]);
    // A job that is one's and was signed over to another name.
    expect(lineFor('T. Third', own)).toEqual([FIRM.name, null]);
    expect(lineFor('R. Vale', { name: 'R. Vale' })).toEqual(['License HI-00000', drawn('f')]);
    const unnamed = { name: 'Marlpit', license: 'HI-0' };
    const block = of(
      blocksOf([], (one) => withFirm(one, { ...unnamed, signer: { name: one.job.inspector } })),
      'signature',
    )[0]!;
    expect(block.lines).toEqual(['Marlpit']);
  });

  it('prints what the state of the house asks for, and of no other', () => {
    const firm: Firm = { ...FIRM, stateTexts: { OR: 'Of Oregon.', TX: 'Of Texas.' } };
    const at = (address: string) =>
      blocksOf([], (one) => withFirm({ ...one, property: { ...one.property, address } }, firm));
    const oregon = at('1 Mill Street, Sample Falls, OR 97201');
    expect(listOf(oregon, 'In Oregon')).toEqual([
      'Of Oregon.',
      'These words are of 28 November 2026.',
    ]);
    expect(listOf(oregon, 'In Texas')).toBeUndefined();
    const nowhere = at('1 Mill Street, Sample Falls');
    expect(JSON.stringify(nowhere)).not.toContain('Of Oregon');
    expect(missesState(firm, '1 Mill Street, Sample Falls')).toBe(true);
    expect(missesState(firm, '1 Mill Street, Sample Falls, Texas')).toBe(false);
    expect(missesState(FIRM, '1 Mill Street, Sample Falls')).toBe(false);
  });

  it('signs on the day of issue, and not before', () => {
    const frozen = freezeReport(jobOf([], signed), {
      number: 1,
      issuedAt: '2026-11-30T09:00:00-08:00',
      reason: '',
      before: null,
      stills: [],
    });
    expect(of(frozen.documents.buyer, 'signature')[0]!.signedOn).toBe('2026-11-30');
  });
});
