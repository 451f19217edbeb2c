import { memoOf } from '../base/memo';
import { plainData } from '../base/plain-text';
import type { Assessment } from '../judge/assessment';
import { buildSection, type Section } from '../section/build';
import { type SectionRow, tabulateSection } from '../section/table';
import { compareReports } from './amend';
import type { Block } from './block';
import { dayOf } from './calendar';
import { composeReport } from './compose';
import { composeDocuments, type Documents, withMore } from './documents';

type Drawn = Pick<Section, 'width' | 'height' | 'primitives'>;

/** The drawings of a report: for a wide page, for a phone, for paper. */
export type Drawings = { readonly wide: Drawn; readonly narrow: Drawn; readonly paper: Drawn };

/** A report frozen whole: everything that its printers need, and nothing that is computed again. */
export type Frozen = {
  readonly format: 'chert-issued';
  readonly version: 2;
  readonly number: number;
  readonly issuedAt: string;
  readonly title: string;
  readonly headline: string;
  readonly readsAtGrade: number;
  readonly documents: Documents;
  readonly drawings: Drawings;
  readonly rows: readonly SectionRow[];
  /** Stills that it shows, each with the hash of its bytes. */
  readonly stills: readonly { readonly id: string; readonly sha256: string }[];
};

const bare = ({ width, height, primitives }: Section): Drawn => ({ width, height, primitives });

/** Draws the Section in the sizes in which a report shows it. */
export const drawForReport = memoOf((assessment: Assessment): Drawings => ({
  wide: bare(buildSection(assessment, { width: 820, height: 232 })),
  narrow: bare(buildSection(assessment, { width: 460, height: 232 })),
  paper: bare(buildSection(assessment, { width: 760, height: 232 })),
}));

/** What is issued: its number, when, what it comes after and why. */
export type Issuing = {
  readonly number: number;
  readonly issuedAt: string;
  /** Why it is amended; empty for the first. */
  readonly reason: string;
  readonly before: Frozen | null;
  readonly stills: Frozen['stills'];
  /** Blocks that go with the buyer's report: how it stands against an earlier look. */
  readonly more?: readonly Block[];
};

/** Puts what changed right under the headline. */
const withChanges = (blocks: readonly Block[], changes: Block | null): readonly Block[] =>
  changes === null ? blocks : [...blocks.slice(0, 2), changes, ...blocks.slice(2)];

/** Signs on the day of issue. */
const signed = (blocks: readonly Block[], signedOn: string): readonly Block[] =>
  blocks.map((block) => (block.kind === 'signature' ? { ...block, signedOn } : block));

/** Freezes a report: what is read later is this, whatever becomes of the job. */
export function freezeReport(assessment: Assessment, issuing: Issuing): Frozen {
  const { number, issuedAt, reason, before, stills, more = [] } = issuing;
  const report = composeReport(assessment);
  const documents = composeDocuments(assessment);
  const buyer = signed(withMore(documents.buyer, more), dayOf(issuedAt));
  const changes: Block | null =
    before === null
      ? null
      : {
          kind: 'list',
          title: `Version ${number}: what changed since version ${before.number}`,
          items: [
            ...(reason ? [reason.replace(/\.?$/, '.')] : []),
            // What an earlier version said had changed is not held against this one.
            ...compareReports(before.documents.buyer, buyer),
          ],
        };
  return plainData({
    format: 'chert-issued',
    version: 2,
    number,
    issuedAt,
    title: assessment.inspection.job.title,
    headline: report.headline,
    readsAtGrade: report.readsAtGrade,
    documents: {
      buyer: withChanges(buyer, changes),
      agent: withChanges(documents.agent, changes),
      contractor: documents.contractor,
    },
    drawings: drawForReport(assessment),
    rows: tabulateSection(assessment),
    stills,
  });
}
