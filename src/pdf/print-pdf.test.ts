import { getDocument, VerbosityLevel } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { assess } from '#core/assess';
import { plainText } from '#core/base/plain-text';
import type { Block } from '#core/report/block';
import { composeDocuments, type Reader } from '#core/report/documents';
import { buildSection } from '#core/section/build';
import { DEMO_NAMES, demoInspection } from '#core/testing/demo-inspections';
import { printPdf } from './print-pdf';

async function printed(
  name: string,
  reader: Reader,
  more: Partial<Parameters<typeof printPdf>[0]> = {},
) {
  const assessment = assess(demoInspection(name));
  const wishes = {
    title: name,
    author: 'R. Vale',
    blocks: composeDocuments(assessment)[reader],
    section: buildSection(assessment, { width: 760, height: 232 }),
    paper: 'letter',
    footer: 'Draft',
    stills: new Map(),
    at: new Date(0),
  } as const;
  return printPdf({ ...wishes, ...more });
}

async function read(bytes: Buffer) {
  const pdf = await getDocument({
    data: new Uint8Array(bytes),
    verbosity: VerbosityLevel.ERRORS,
    useSystemFonts: false,
  }).promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, index) => {
      const page = await pdf.getPage(index + 1);
      const { items } = await page.getTextContent();
      const text = items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ');
      return { text, width: page.view[2]!, height: page.view[3]! };
    }),
  );
  return {
    pages,
    text: pages.map(({ text }) => text).join(' '),
    outline: await pdf.getOutline(),
    meta: await pdf.getMetadata(),
  };
}

const plain = (text: string) => text.replace(/\s+/g, ' ').trim();

describe('a document on paper', () => {
  it.each(DEMO_NAMES)('%s: all that the page says is there as text', async (name) => {
    const { text, pages } = await read(await printed(name, 'buyer'));
    const blocks = composeDocuments(assess(demoInspection(name))).buyer;
    for (const block of blocks) {
      if (block.kind === 'headline') expect(text).toContain(plain(block.text));
      if (block.kind === 'finding') expect(text).toContain(plain(block.title));
      if (block.kind === 'list')
        for (const item of block.items) expect(text).toContain(plain(item).slice(0, 60));
    }
    pages.forEach((page, index) => {
      expect(page.text).toContain(`Page ${index + 1} of ${pages.length}`);
      expect([page.width, page.height]).toEqual([612, 792]);
    });
  });

  it('is one page for the agent, on letter and on A4', async () => {
    for (const name of DEMO_NAMES) {
      expect((await read(await printed(name, 'agent'))).pages).toHaveLength(1);
      const a4 = await read(await printed(name, 'agent', { paper: 'a4' }));
      expect(a4.pages.map(({ width }) => Math.round(width))).toEqual([595]);
    }
  });

  it('has bookmarks, a title and a language', async () => {
    const { outline, meta } = await read(
      await printed('alder-bend', 'buyer', { title: 'The report' }),
    );
    expect(JSON.stringify(outline)).toContain('What to do first');
    expect(meta.info).toMatchObject({ Title: 'The report', Language: 'en-US' });
  });

  it('prints names in any script as they were typed, and long words within the page', async () => {
    const names = [
      'Nguyễn Thị Hồng',
      '王小明',
      'Иван Петров',
      'Γιώργος',
      'ก้อง',
      '김민수',
      '8 ft 3″ 2′',
      'ĄĘŁŻ',
    ];
    const long = 'x'.repeat(400);
    const blocks: Block[] = [{ kind: 'list', title: 'T', items: [...names, long] }];
    const { text } = await read(
      await printed('alder-bend', 'buyer', { blocks, footer: names.join(' ') }),
    );
    // What stands between words is not compared: each font has a space of its own.
    const printedText = text.replace(/[^\p{L}\p{M}\p{N}′″]/gu, '').normalize('NFC');
    for (const name of names)
      expect(printedText).toContain(name.replace(/\s/g, '').normalize('NFC'));
    expect(printedText.match(/x/g)!.length).toBeGreaterThanOrEqual(400);
  });

  it('prints right-to-left names, and shows what would turn its own words round', async () => {
    const blocks: Block[] = [
      { kind: 'list', title: 'T', items: [plainText('For R. \u202Evalue of the house')] },
      { kind: 'list', title: 'U', items: ['שלום', 'محمد'] },
    ];
    const { text } = await read(
      await printed('alder-bend', 'buyer', { blocks, footer: '\u202Edraft' }),
    );
    expect(text).toContain('For R. [U+202E]value of the house');
    expect(text.replace(/\s/g, '')).toContain('[U+202E]draft');
    expect(text.replace(/\s/g, '')).toMatch(/שלום|םולש/);
  });

  it('keeps script and strange letters as text', async () => {
    const blocks: Block[] = [
      { kind: 'list', title: 'T', items: ['<script>alert(1)</script> Łódź “é” ½ × −'] },
    ];
    const { text } = await read(await printed('alder-bend', 'buyer', { blocks }));
    // Where the font changes, a reader may see a space.
    expect(text.replace(/\s/g, '')).toContain('<script>alert(1)</script>Łódź“é”½×−');
  });
});
