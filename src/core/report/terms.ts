import type { Block } from './block';
import { sentencesOf } from './reading-grade';

type Term = { readonly word: string; readonly meaning: string };

/** The trade's words, each with the pattern by which a report uses it. */
const TERMS: readonly (Term & { readonly used: RegExp })[] = [
  {
    word: 'Lateral',
    meaning: 'the private sewer pipe from the building to the city’s sewer.',
    used: /\blaterals?\b/i,
  },
  {
    word: 'Main',
    meaning: 'the city’s sewer that the lateral joins.',
    used: /\bmain\b(?! point)/i,
  },
  {
    word: 'Cleanout',
    meaning: 'a capped opening through which a drain is cleaned or looked into.',
    used: /\bcleanouts?\b/i,
  },
  {
    word: 'Belly',
    meaning: 'a stretch that has sunk and keeps water after the flow stops.',
    used: /\bbelly|bellies\b/i,
  },
  {
    word: 'Liner',
    meaning: 'a new pipe wall cured inside the old pipe.',
    used: /\bliners?\b|\blin(?:e|ed|ing) the pipe\b|\blined\b/i,
  },
  { word: 'Lip', meaning: 'an edge that stands up where two pipes meet.', used: /\blips?\b/i },
  { word: 'Offset joint', meaning: 'two pipe ends that no longer line up.', used: /\boffsets?\b/i },
  {
    word: 'Jetting',
    meaning: 'cleaning a pipe with a strong jet of water.',
    used: /\bjet(?:s|ted|ting)?\b/i,
  },
  {
    word: 'Locate',
    meaning: 'finding from the ground where the camera is, and how deep.',
    used: /\blocat(?:e|ed|es|ing)\b/i,
  },
  {
    word: 'Backup',
    meaning: 'sewage that comes back up into the house.',
    used: /\bback(?:ed)? ?up\b|\bbackups?\b/i,
  },
  { word: 'Scale', meaning: 'rust that grows on the inside of iron pipe.', used: /\bscale\b/i },
  { word: 'Tee', meaning: 'a place where a side pipe joins the line.', used: /\btees?\b/i },
  { word: 'Riser', meaning: 'the upright pipe under a cleanout’s cap.', used: /\briser\b/i },
  { word: 'Grade', meaning: 'the fall of a pipe that makes water run.', used: /\bto grade\b/i },
  {
    word: 'Slight, moderate, major, failed',
    meaning: 'how bad a finding is, from least to worst.',
    used: /(?!)/,
  },
];

/** All that a document says, titles and tables included. */
function wordsOf(blocks: readonly Block[]): string {
  const more = blocks.flatMap((block): readonly string[] => {
    if (block.kind === 'finding') return [block.title];
    if (block.kind === 'table') return [...block.rows.flat(), ...(block.notes ?? [])];
    return block.kind === 'list' ? [...block.items] : [];
  });
  return [...sentencesOf(blocks), ...more].join('\n');
}

/** The trade's words that these blocks use, explained. */
export function composeTerms(blocks: readonly Block[]): Term[] {
  const text = wordsOf(blocks);
  const hasFindings = blocks.some(({ kind }) => kind === 'finding');
  return TERMS.filter(
    ({ used, word }) => used.test(text) || (hasFindings && word.startsWith('Slight')),
  ).map(({ word, meaning }) => ({ word, meaning }));
}

/** Where a word that is explained is first used: the sentence, and the word as it stands there. */
export type FirstUse = { readonly text: string; readonly match: string; readonly word: string };

/** Which words are explained beside which block, for paper, where no link leads to their meaning. */
export function notesBeside(blocks: readonly Block[]): ReadonlyMap<Block, readonly Term[]> {
  const meanings = blocks.flatMap((block) => (block.kind === 'terms' ? block.terms : []));
  const uses = findFirstUses(blocks);
  const told = new Set<string>();
  return new Map(
    blocks
      .filter(({ kind }) => kind !== 'terms')
      .map((block) => {
        const texts = sentencesOf([block]);
        const here = uses.filter(({ text, word }) => texts.includes(text) && !told.has(word));
        for (const { word } of here) told.add(word);
        return [block, meanings.filter(({ word }) => here.some((use) => use.word === word))];
      }),
  );
}

/** The first use of each explained word in what is read, so that a printer can lead from it to its meaning. */
export function findFirstUses(blocks: readonly Block[]): readonly FirstUse[] {
  const explained = new Set(
    blocks.flatMap((block) => (block.kind === 'terms' ? block.terms.map(({ word }) => word) : [])),
  );
  const texts = sentencesOf(blocks.filter(({ kind }) => kind !== 'terms'));
  return TERMS.filter(({ word }) => explained.has(word)).flatMap(({ word, used }) => {
    for (const text of texts) {
      const match = used.exec(text)?.[0];
      if (match) return [{ text, match, word }];
    }
    return [];
  });
}
