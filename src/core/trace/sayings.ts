import type { Block } from '../report/block';

/** A piece of text of a document, with the block that it stands in. */
export type Saying = {
  readonly where: string;
  readonly text: string;
  /** Whether it quotes what people said, and not what was seen. */
  readonly isQuoted: boolean;
  /** Whether it is a cell of readings in feet. */
  readonly isFeet: boolean;
};

const isFeetHead = (head: string) => /\bft$|^Feet$/.test(head);

/** Every text of a block. */
function ofBlock(block: Block): Saying[] {
  const say = (where: string, text: string, more: Partial<Saying> = {}): Saying => ({
    where,
    text,
    isQuoted: false,
    isFeet: false,
    ...more,
  });
  switch (block.kind) {
    case 'masthead':
      return [say('masthead', block.left), say('masthead', block.right)];
    case 'glance':
      return block.rows.map(({ title, text }) => say(title, text));
    case 'headline':
      return [
        say('headline', block.text),
        say('lead', block.lead),
        ...(block.pass ? [say('pass line', block.pass)] : []),
      ];
    case 'section':
      return [say('section', block.caption)];
    case 'steps':
      return block.steps.map(({ text }) => say(block.title, text));
    case 'finding':
      return [
        block.title,
        ...block.places.flatMap(({ where, says }) => [where, ...(says === null ? [] : [says])]),
        ...block.sentences,
        ...block.remarks,
      ].map((text) => say(`finding ${block.number}`, text));
    case 'columns':
      return block.columns.flatMap(({ title, items }) => items.map((text) => say(title, text)));
    case 'list':
      return block.items.map((text) =>
        say(block.title, text, {
          isQuoted:
            block.title === 'What we were told' ||
            block.title === 'What the inspector advises' ||
            block.title === 'Take care' ||
            block.title === 'Please note',
        }),
      );
    case 'table':
      return [
        say(block.title, block.title),
        ...block.rows.flatMap((row) =>
          row.map((text, at) =>
            say(block.title, text, { isFeet: isFeetHead(block.head[at] ?? '') }),
          ),
        ),
        ...(block.notes ?? []).map((text) => say(block.title, text)),
      ];
    case 'terms':
    case 'signature':
    case 'pictures':
      return [];
  }
}

/** Every text of a document, in its order. What explains words in general claims nothing of a line. */
export function sayingsOf(blocks: readonly Block[]): Saying[] {
  return blocks.flatMap(ofBlock);
}
