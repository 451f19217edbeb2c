import { Image, Polygon, Svg, Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import type { Block } from '#core/report/block';
import { sayDay } from '#core/report/calendar';
import type { Section } from '#core/section/build';
import { flakeOutline } from '#core/section/flakes';
import { useLetters } from './families';
import { paintOf } from './paint';
import { SectionPdf } from './SectionPdf';
import { styles } from './styles';

/** What stands where a still was. */
const GONE = 'This still is gone.';

export type Stills = ReadonlyMap<string, { readonly data: Buffer; readonly format: 'jpg' | 'png' }>;

type Props = {
  readonly block: Block;
  readonly section: Pick<Section, 'width' | 'height' | 'primitives'>;
  readonly widthPt: number;
  readonly stills: Stills;
};

/** Prints one block of a document on paper: the other printer of the same tree. */
export function BlockPdf({ block, section, widthPt, stills }: Props) {
  const letters = useLetters();
  switch (block.kind) {
    case 'masthead':
      return (
        <View style={styles.masthead}>
          <Text style={styles.mastheadLeft}>{block.left}</Text>
          <Text>{block.right}</Text>
        </View>
      );
    case 'headline':
      return (
        <View>
          <Text style={styles.verdict}>{block.verdict}</Text>
          <Text style={styles.title}>{block.text}</Text>
          <Text style={styles.lead}>{block.lead}</Text>
          {block.pass && <Text style={styles.pass}>{block.pass}</Text>}
        </View>
      );
    case 'section':
      return (
        <View wrap={false}>
          <View style={styles.drawing}>
            <SectionPdf section={section} widthPt={widthPt - 1.5} />
          </View>
          <Text style={styles.caption}>{block.caption}</Text>
        </View>
      );
    case 'steps':
      return (
        <View style={styles.part} wrap={false} {...mark(block.title)}>
          <Text style={styles.heading}>{block.title}</Text>
          {block.steps.map(({ text, byOn }, index) => (
            <View key={text} style={styles.step}>
              <Text style={styles.stepNumber}>{index + 1}.</Text>
              <Text style={styles.stepText}>
                {text}
                {byOn && <Text style={styles.head}> By {sayDay(byOn)}.</Text>}
              </Text>
            </View>
          ))}
        </View>
      );
    case 'finding':
      return (
        <View style={styles.finding} wrap={false} {...mark(`${block.number}. ${block.title}`)}>
          <FlakePdf severity={block.severity} number={block.number} />
          {block.photoId &&
            (stills.has(block.photoId) ? (
              <Image src={stills.get(block.photoId)} style={styles.still} />
            ) : (
              <Text style={styles.remark}>{GONE}</Text>
            ))}
          <View style={styles.findingText}>
            <Text style={styles.heading}>{block.title}</Text>
            <Text>{block.sentences.join(' ')}</Text>
            {block.remarks.length > 0 && (
              <Text style={styles.remark}>{block.remarks.join(' ')}</Text>
            )}
          </View>
          <View style={styles.findingGrade}>
            <Text>{block.verdict}</Text>
            {block.price && <Text style={[styles.price, letters.readings]}>{block.price}</Text>}
          </View>
        </View>
      );
    case 'columns':
      return (
        <View style={styles.columns} wrap={isLong(block.columns)}>
          {block.columns.map(({ title, items, ordered }) => (
            <View key={title} style={styles.column}>
              <Text style={styles.heading}>{title}</Text>
              {items.map((item, index) => (
                <Text key={item} style={styles.item}>
                  {ordered ? `${index + 1}. ${item}` : item}
                </Text>
              ))}
            </View>
          ))}
        </View>
      );
    case 'table':
      return <TablePdf block={block} />;
    case 'list':
      return (
        <Part
          title={block.title}
          parts={block.items.map((item) => (
            <Text key={item} style={styles.item}>
              {item}
            </Text>
          ))}
        />
      );
    case 'terms':
      return (
        <Part
          title={block.title}
          parts={block.terms.map(({ word, meaning }) => (
            <View key={word} style={styles.term} wrap={false}>
              <Text style={styles.word}>{word}</Text>
              <Text style={styles.stepText}>{meaning}</Text>
            </View>
          ))}
        />
      );
    case 'pictures':
      return (
        <View style={styles.part} {...mark(block.title)}>
          <Text style={styles.heading} minPresenceAhead={190}>
            {block.title}
          </Text>
          <View style={styles.pictures}>
            {block.pictures.map(({ photoId, caption }) => (
              <View key={photoId} style={styles.picture} wrap={false}>
                {stills.has(photoId) ? (
                  <Image src={stills.get(photoId)} style={styles.pictureImage} />
                ) : (
                  <Text style={styles.remark}>{GONE}</Text>
                )}
                <Text style={styles.caption}>{caption}</Text>
              </View>
            ))}
          </View>
        </View>
      );
  }
}

/** Columns are kept on one page unless they would not fit one. */
const isLong = (columns: readonly { readonly items: readonly string[] }[]) =>
  columns.some(({ items }) => items.join('').length > 1600);

/** A bookmark, so that a reader's side bar lists the parts. */
const mark = (title: string) => ({ bookmark: { title, fit: true } }) as object;

/** A part under its heading; the heading never stands at the foot of a page without what it heads. */
function Part({
  title,
  parts,
}: {
  readonly title: string;
  readonly parts: readonly ReactElement[];
}) {
  return (
    <View style={styles.part} {...mark(title)}>
      <View wrap={false}>
        <Text style={styles.heading}>{title}</Text>
        {parts[0]}
      </View>
      {parts.slice(1)}
    </View>
  );
}

function TablePdf({ block }: { readonly block: Extract<Block, { kind: 'table' }> }) {
  const letters = useLetters();
  const cell = (text: string, column: number) => (
    <Text
      key={column}
      style={block.numeric.includes(column) ? [styles.number, letters.readings] : styles.cell}
    >
      {text}
    </Text>
  );
  const rows = block.rows.map((row, index) => (
    <View key={index} style={styles.row} wrap={false}>
      {row.map(cell)}
    </View>
  ));
  const head = (
    <View key="head" style={[styles.row, styles.head]} wrap={false}>
      {block.head.map(cell)}
    </View>
  );
  const notes = (block.notes ?? []).map((note) => (
    <Text key={note} style={styles.remark}>
      {note}
    </Text>
  ));
  const parts =
    rows.length === 0
      ? [<Text key="none">Nothing was logged.</Text>]
      : [<View key="top">{[head, rows[0]!]}</View>, ...rows.slice(1), ...notes];
  return <Part title={block.title} parts={parts} />;
}

function FlakePdf({
  severity,
  number,
}: Pick<Extract<Block, { kind: 'finding' }>, 'severity' | 'number'>) {
  const letters = useLetters();
  const points = flakeOutline(severity, number, { x: 15, y: 15 })
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
  return (
    <Svg viewBox="0 0 30 30" style={{ width: 24, height: 24 }}>
      <Polygon points={points} {...paintOf(`flake-${severity}`)} />
      <Text
        x={15}
        y={19.5}
        textAnchor="middle"
        fill="#ffffff"
        style={{ fontSize: number > 99 ? 9 : 12, ...letters.words, fontWeight: 700 }}
      >
        {String(number)}
      </Text>
    </Svg>
  );
}
