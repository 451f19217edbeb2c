import { Document, Page, renderToBuffer, Text, View } from '@react-pdf/renderer';
import { plainText } from '#core/base/plain-text';
import type { Paper } from '#core/model/job/report-options';
import type { Block } from '#core/report/block';
import type { Section } from '#core/section/build';
import { BlockPdf, type Stills } from './BlockPdf';
import { FamiliesOf } from './families';
import { familiesFor } from './fonts';
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
            {blocks.map((block, index) => (
              <BlockPdf
                key={index}
                block={block}
                section={section}
                widthPt={WIDTHS[paper]}
                stills={stills}
              />
            ))}
          </FamiliesOf>
        </View>
      </Page>
    </Document>,
  );
}
