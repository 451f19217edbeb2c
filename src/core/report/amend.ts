import type { Block, FindingBlock, ListBlock, TableBlock } from './block';

const of = <K extends Block['kind']>(blocks: readonly Block[], kind: K) =>
  blocks.filter((block): block is Extract<Block, { kind: K }> => block.kind === kind);

const columnOf = (blocks: readonly Block[], title: string) =>
  of(blocks, 'columns')
    .flatMap(({ columns }) => columns)
    .find((one) => one.title === title)?.items ?? [];

/** Every finding by its number, as its block tells it. */
type One = {
  readonly number: number;
  readonly title: string;
  readonly verdict: string;
  readonly words: string;
  readonly price: string | null;
};

const oneByOne = (blocks: readonly FindingBlock[]): One[] =>
  blocks.flatMap(({ places, title, verdict, sentences, price }) =>
    places.map(({ number, where, says }) => ({
      number,
      title: places.length > 1 ? `${title.replace(/ at [a-z0-9]+ places$/, '')}: ${where}` : title,
      verdict,
      words: [says ?? '', ...sentences].join(' ').trim(),
      price,
    })),
  );

function compareFindings(before: readonly One[], after: readonly One[]): string[] {
  const was = new Map(before.map((one) => [one.number, one]));
  const now = new Map(after.map((one) => [one.number, one]));
  return [
    ...after.flatMap((one): string[] => {
      const old = was.get(one.number);
      const name = `Finding ${one.number}`;
      if (!old) return [`${name} is new: ${one.title}, ${one.verdict.toLowerCase()}.`];
      return [
        ...(old.title === one.title ? [] : [`${name} reads “${one.title}”, was “${old.title}”.`]),
        ...(old.verdict === one.verdict ? [] : [`${name}: ${one.verdict}, was ${old.verdict}.`]),
        ...(old.words === one.words ? [] : [`${name} is told in other words.`]),
        ...(old.price === one.price
          ? []
          : [`${name}: ${one.price ?? 'no price'}, was ${old.price ?? 'no price'}.`]),
      ];
    }),
    ...before
      .filter(({ number }) => !now.has(number))
      .map(({ number, title }) => `Finding ${number} is gone: ${title}.`),
  ];
}

function compareLists(
  title: string,
  before: readonly string[],
  after: readonly string[],
): string[] {
  return [
    ...after.filter((item) => !before.includes(item)).map((item) => `${title}, new: ${item}`),
    ...before.filter((item) => !after.includes(item)).map((item) => `${title}, gone: ${item}`),
  ];
}

/** What a buyer reads otherwise in a new version of a report, each in a sentence. */
export function compareReports(before: readonly Block[], after: readonly Block[]): string[] {
  const [was] = of(before, 'headline');
  const [now] = of(after, 'headline');
  const total = (blocks: readonly Block[]) =>
    of(blocks, 'table')
      .find(({ title }: TableBlock) => title.startsWith('What it may cost'))
      ?.rows.at(-1)
      ?.at(-1) ?? 'nothing';
  const remark = (blocks: readonly Block[]) =>
    of(blocks, 'list').find(({ title }: ListBlock) => title === 'From the inspector')?.items[0] ??
    '';
  const changes = [
    ...(was && now && was.text !== now.text ? [`The headline was “${was.text}”`] : []),
    ...(was && now && was.verdict !== now.verdict
      ? [`The verdict is “${now.verdict}”, was “${was.verdict}”.`]
      : []),
    ...(was && now && was.lead !== now.lead ? ['The words under the headline are new.'] : []),
    ...(remark(before) === remark(after) ? [] : ['The inspector’s remark is new.']),
    ...compareFindings(oneByOne(of(before, 'finding')), oneByOne(of(after, 'finding'))),
    ...compareLists(
      'Not seen',
      columnOf(before, 'What we could not see'),
      columnOf(after, 'What we could not see'),
    ),
    ...(total(before) === total(after)
      ? []
      : [`The planning range is ${total(after)}, was ${total(before)}.`]),
  ];
  return changes.length > 0 ? changes : ['Nothing that you read here has changed.'];
}
