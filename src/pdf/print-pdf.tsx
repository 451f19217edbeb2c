import { Document, Page, renderToBuffer, Text, View } from '@react-pdf/renderer';
import { Fragment } from 'react';
import { plainText } from '#core/base/plain-text';
import type { Paper } from '#core/model/job/report-options';
import type { Block } from '#core/report/block';
import { notesBeside } from '#core/report/terms';
import type { Section } from '#core/section/build';
import { BlockPdf } from './BlockPdf';
import { FamiliesOf } from './families';
import { familiesFor } from './fonts';
import { type Stills } from './stills';
import { styles } from './styles';

export type PdfWishes = {
  readonly title: string;
  readonly author: string;
  readonly blocks: readonly Block[];
  readonly section: Pick<Section, 'width' | 'height' | 'primitives'>;
  readonly paper: Paper;
  /** What stands at the foot of each page: number and time of an issued report. */
  readonly footer: string;
  readonly stills: Stills;
  /** The time that the file carries as its own. */
  readonly at: Date;
};

/** Widths of paper, points, less the margins. */
const WIDTHS: Readonly<Record<Paper, number>> = { letter: 612 - 96, a4: 595.28 - 96 };

/** Prints a document's blocks as PDF: fonts embedded, text as text, drawings as vectors, pages numbered. */
export async function printPdf(wishes: PdfWishes): Promise<Buffer> {
  const { blocks, section, paper, stills, at } = wishes;
  const [title, author, footer] = [wishes.title, wishes.author, wishes.footer].map(plainText) as [
    string,
    string,
    string,
  ];
  const notes = notesBeside(blocks);
  const drawn = section.primitives.map((one) => (one.shape === 'text' ? one.text : '')).join('');
  const families = familiesFor(`${title}${footer}${drawn}${JSON.stringify(blocks)}`);
  return renderToBuffer(
    <Document
      title={title}
      author={author}
      language="en-US"
      creator="Chert"
      producer="Chert"
      creationDate={at}
      modificationDate={at}
      pageMode="useOutlines"
      pdfVersion="1.7"
    >
      <Page
        size={paper === 'a4' ? 'A4' : 'LETTER'}
        style={[styles.page, { fontFamily: [...families.words] as never }]}
        bookmark={{ title, fit: true }}
      >
        <View style={styles.footer} fixed>
          <Text>{footer}</Text>
          <Text render={({ pageNumber, totalPages }) => `Page ${pageNumber} of ${totalPages}`} />
        </View>
        <View style={styles.body}>
          <FamiliesOf value={families}>
            {blocks
              .filter(({ kind }) => kind !== 'terms')
              .map((block, index) => (
                <Fragment key={index}>
                  <BlockPdf
                    block={block}
                    section={section}
                    widthPt={WIDTHS[paper]}
                    stills={stills}
                  />
                  <NotesPdf terms={notes.get(block) ?? []} />
                </Fragment>
              ))}
          </FamiliesOf>
        </View>
      </Page>
    </Document>,
  );
}

/** Words explained right where they first come. */
function NotesPdf({ terms }: { readonly terms: readonly { word: string; meaning: string }[] }) {
  if (terms.length === 0) return null;
  return (
    <Text style={styles.note}>
      {terms.map(({ word, meaning }, index) => (
        <Fragment key={word}>
          <Text style={styles.head}>
            {index > 0 ? ' ' : ''}
            {word}:
          </Text>{' '}
          {meaning}
        </Fragment>
      ))}
    </Text>
  );
}
