import { Image, Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import type { Block } from '#core/report/block';
import { sayDay, sayLongDay } from '#core/report/calendar';
import type { Section } from '#core/section/build';
import { useLetters } from './families';
import { FindingPdf } from './FindingPdf';
import { mark } from './mark';
import { SectionPdf } from './SectionPdf';
import { StillPdf } from './StillPdf';
import { type Stills } from './stills';
import { styles } from './styles';

type Props = {
  readonly block: Block;
  readonly section: Pick<Section, 'width' | 'height' | 'primitives'>;
  readonly widthPt: number;
  readonly stills: Stills;
};

/** Prints one block of a document on paper: the other printer of the same tree. */
export function BlockPdf({ block, section, widthPt, stills }: Props) {
  switch (block.kind) {
    case 'masthead':
      return (
        <View>
          {block.firm && (
            <View style={styles.firm}>
              {block.firm.logo && <Image src={block.firm.logo} style={styles.logo} />}
              <View>
                <Text style={styles.firmName}>{block.firm.name}</Text>
                {block.firm.lines.map((line) => (
                  <Text key={line}>{line}</Text>
                ))}
              </View>
            </View>
          )}
          <View style={styles.masthead}>
            <Text style={styles.mastheadLeft}>{block.left}</Text>
            <Text>{block.right}</Text>
          </View>
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
    case 'glance':
      return (
        <View style={styles.glance} wrap={false}>
          <View style={styles.findingText}>
            {block.rows.map(({ title, text }) => (
              <View key={title} style={styles.glanceRow}>
                <Text style={styles.heading}>{title}</Text>
                <Text>{text}</Text>
              </View>
            ))}
          </View>
          {block.picture && stills.has(block.picture.photoId) && (
            <View style={styles.glancePicture}>
              <StillPdf picture={block.picture} stills={stills} size={styles.glanceStill} />
              <Text style={styles.caption}>{block.picture.caption}</Text>
            </View>
          )}
        </View>
      );
    case 'finding':
      return <FindingPdf block={block} stills={stills} />;
    case 'signature':
      return (
        <View style={styles.signature} wrap={false}>
          {block.image && block.signedOn !== null && (
            <Image src={block.image} style={styles.signatureImage} />
          )}
          <View style={styles.signatureLine}>
            <Text style={styles.head}>{block.name}</Text>
            {block.lines.map((line) => (
              <Text key={line}>{line}</Text>
            ))}
          </View>
          <Text>
            {block.signedOn === null
              ? 'A draft: not signed.'
              : `Signed ${sayLongDay(block.signedOn)}.`}
          </Text>
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
          <Text style={styles.heading} minPresenceAhead={130}>
            {block.title}
          </Text>
          <View style={styles.pictures}>
            {block.pictures.map((picture) => (
              <View key={picture.photoId} style={styles.picture} wrap={false}>
                <StillPdf picture={picture} stills={stills} size={styles.pictureImage} />
                <Text style={styles.caption}>{picture.caption}</Text>
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

/** Parts of so many rows or lines are never broken over two pages. */
const KEPT_WHOLE = 9;

/** A part under its heading; the heading never stands at the foot of a page without what it heads. */
function Part({
  title,
  parts,
  startsPage = false,
}: {
  readonly title: string;
  readonly parts: readonly ReactElement[];
  readonly startsPage?: boolean | undefined;
}) {
  return (
    <View style={styles.part} break={startsPage} wrap={parts.length > KEPT_WHOLE} {...mark(title)}>
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
  return <Part title={block.title} parts={parts} startsPage={block.startsPage} />;
}
