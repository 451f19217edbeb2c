import { DEFECTS } from '../../catalogue/defects/index';
import { lexCallout, type Token } from '../lex';
import { joinNumerals } from '../numerals';
import { DEFECT_SAYINGS, formSayingsOf } from './defects';
import { ADVISED_SAYINGS, DEGREE_SAYINGS, DOES_SAYINGS, OPERATOR_SAYINGS } from './operators';
import { type Sayings, spellOut } from './phrases';
import {
  AID_SAYINGS,
  CERTAINTY_SAYINGS,
  CRACK_DIRECTION_SAYINGS,
  GRAMMAR_SAYINGS,
  HOUR_SAYINGS,
  JOINT_SAYINGS,
  LOCUS_SAYINGS,
  MARK_SAYINGS,
  PASS_SAYINGS,
  SIDE_SAYINGS,
  STREAM_SAYINGS,
  TURN_SAYINGS,
} from './qualities';
import {
  ACT_SAYINGS,
  CONFIRM_SAYINGS,
  END_SAYINGS,
  FIXTURE_SAYINGS,
  RESULT_SAYINGS,
  WATER_SAYINGS,
} from './running';
import {
  FEATURE_SAYINGS,
  MATERIAL_SAYINGS,
  SURFACE_SAYINGS,
  UNSEEN_SAYINGS,
  ZONE_SAYINGS,
} from './things';

/** What a phrase can mean, by the table it stands in: `{ joint: 'coupling', feature: 'coupling' }`. */
export type Senses = Readonly<Record<string, string>>;

type Node = { next: Map<string, Node>; senses: Record<string, string> | null };

const TABLES: Readonly<Record<string, Sayings>> = {
  act: ACT_SAYINGS,
  end: END_SAYINGS,
  confirm: CONFIRM_SAYINGS,
  water: WATER_SAYINGS,
  result: RESULT_SAYINGS,
  fixture: { fixture: FIXTURE_SAYINGS },
  defect: DEFECT_SAYINGS,
  ...Object.fromEntries(DEFECTS.map((kind) => [`form.${kind}`, formSayingsOf(kind)])),
  material: MATERIAL_SAYINGS,
  feature: FEATURE_SAYINGS,
  zone: ZONE_SAYINGS,
  surface: SURFACE_SAYINGS,
  unseen: UNSEEN_SAYINGS,
  locus: LOCUS_SAYINGS,
  mark: MARK_SAYINGS,
  certainty: CERTAINTY_SAYINGS,
  side: SIDE_SAYINGS,
  stream: STREAM_SAYINGS,
  hour: HOUR_SAYINGS,
  joint: JOINT_SAYINGS,
  direction: CRACK_DIRECTION_SAYINGS,
  turns: TURN_SAYINGS,
  aid: AID_SAYINGS,
  pass: PASS_SAYINGS,
  advised: ADVISED_SAYINGS,
  degree: DEGREE_SAYINGS,
  does: DOES_SAYINGS,
  ...Object.fromEntries(
    Object.entries({ ...GRAMMAR_SAYINGS, ...OPERATOR_SAYINGS }).map(([tag, saying]) => [
      tag,
      { [tag]: saying },
    ]),
  ),
};

/** Articles stand anywhere in a phrase without changing it. */
const ARTICLES: ReadonlySet<string> = new Set(['a', 'an', 'the']);
export const isArticle = (token: Token) => token.type === 'word' && ARTICLES.has(token.text);

/** How a token is looked up: "can't" and "cant" are one word. */
const keyOf = (token: Token) => token.text.replace(/'/g, '');

/** "the separation's two inches": what is spoken of, where the whole is no word of the lexicon. */
const stemOf = ({ text }: Token): string | null => (text.endsWith("'s") ? text.slice(0, -2) : null);

/** The way on from a node by a token. */
function stepTo(node: Node, token: Token): Node | undefined {
  const stem = stemOf(token);
  return node.next.get(keyOf(token)) ?? (stem === null ? undefined : node.next.get(stem));
}

const wordsOf = (phrase: string): string[] =>
  joinNumerals(lexCallout(phrase))
    .filter((token) => !isArticle(token))
    .map(keyOf);

function plant(root: Node, words: readonly string[], tag: string, meaning: string): void {
  let node = root;
  for (const word of words) {
    let next = node.next.get(word);
    if (!next) node.next.set(word, (next = { next: new Map(), senses: null }));
    node = next;
  }
  // The first meaning stays: tables list the most particular sayings first.
  node.senses = { [tag]: meaning, ...node.senses };
}

/** Every phrase of the tables, by its words. */
export const LEXICON: Node = (() => {
  const root: Node = { next: new Map(), senses: null };
  for (const [tag, sayings] of Object.entries(TABLES))
    for (const [meaning, saying] of Object.entries(sayings))
      for (const phrase of spellOut(saying!)) {
        const words = wordsOf(phrase);
        if (words.length > 0) plant(root, words, tag, meaning);
      }
  return root;
})();

/** Something found in the lexicon: what it can mean and the token after it. */
export type Found = { readonly senses: Senses; readonly next: number };

/** Said within a phrase without changing it: "the water's just kind of sitting". */
const HEDGES: readonly (readonly string[])[] = [
  ['just'],
  ['kinda'],
  ['basically'],
  ['actually'],
  ['honestly'],
  ['like'],
  ['kind', 'of'],
  ['sort', 'of'],
  ['pretty', 'much'],
];

/** How many tokens of a hedge begin at a place; 0 for none. */
const hedgeAt = (tokens: readonly Token[], at: number): number =>
  HEDGES.find((words) =>
    words.every((word, index) => {
      const token = tokens[at + index];
      return token?.type === 'word' && token.text === word;
    }),
  )?.length ?? 0;

/** The longest phrase of the lexicon that begins at a token; `null` when none does. */
export function findPhrase(tokens: readonly Token[], at: number): Found | null {
  let node: Node | undefined = LEXICON;
  let found: Found | null = null;
  for (let cursor = at; cursor < tokens.length; cursor += 1) {
    const token = tokens[cursor]!;
    if (token.type === 'quote' || token.type === 'handle' || token.type === 'pair') break;
    if (cursor > at && isArticle(token)) continue;
    const next: Node | undefined = stepTo(node, token);
    const hedge = next || cursor === at ? 0 : hedgeAt(tokens, cursor);
    if (hedge > 0) {
      cursor += hedge - 1;
      continue;
    }
    node = next;
    if (!node) break;
    if (node.senses) found = { senses: node.senses, next: cursor + 1 };
  }
  return found;
}
