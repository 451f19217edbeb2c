import { describe, expect, it } from 'vitest';
import { CHERT_TEXTS, type Firm, FIRM_TEXTS } from '#core/model/firm/firm';
import { firmSchema } from '#core/model/firm/firm.schema';
import { type FirmPictures, readFirm } from './firm';

const NONE: FirmPictures = { logo: null, signature: null };
const asChert = Object.fromEntries(FIRM_TEXTS.map((part) => [`text-${part}`, CHERT_TEXTS[part]]));
const read = (fields: Record<string, string>, before: Firm = {}, pictures = NONE) =>
  readFirm(
    { text: (name) => ({ ...asChert, ...fields })[name] ?? '', number: Number },
    pictures,
    before,
    '2026-11-28',
  );

describe('the firm as its form says it', () => {
  it('leaves out what is empty, and Chert’s own words', () => {
    expect(read({ name: 'Marlpit', phone: '' })).toEqual({ name: 'Marlpit' });
  });

  it('keeps other words with the day on which they were said, an empty text as no text', () => {
    const first = read({ 'text-terms': 'Ours.', 'text-reliance': '' });
    expect(first).toEqual({ texts: { terms: 'Ours.', reliance: '' }, textsOn: '2026-11-28' });
    const before: Firm = { ...first, textsOn: '2025-01-02' };
    expect(read({ 'text-terms': 'Ours.', 'text-reliance': '' }, before).textsOn).toBe('2025-01-02');
    expect(read({ 'text-terms': 'New.', 'text-reliance': '' }, before).textsOn).toBe('2026-11-28');
  });

  it('keeps the words of states, of the day on which they were said', () => {
    const first = read({ 'state-OR': 'Of Oregon.', 'state-TX': '' });
    expect(first).toEqual({ stateTexts: { OR: 'Of Oregon.' }, textsOn: '2026-11-28' });
    const before: Firm = { ...first, textsOn: '2025-01-02' };
    expect(read({ 'state-OR': 'Of Oregon.' }, before).textsOn).toBe('2025-01-02');
    expect(read({}, before)).toEqual({ textsOn: '2026-11-28' });
    expect(firmSchema.validate(first).error).toBeUndefined();
  });

  it('passes the check of the server, pictures and all', () => {
    const logo = 'data:image/png;base64,iVBORw0KGgo=';
    const firm = read({ name: 'Marlpit' }, {}, { logo, signature: null });
    expect(firmSchema.validate(firm).error).toBeUndefined();
    const bad = { ...firm, logo: 'https://elsewhere.example/logo.png' };
    expect(firmSchema.validate(bad).error).toBeDefined();
  });
});
