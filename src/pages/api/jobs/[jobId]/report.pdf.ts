import { assessed } from '#core/assess';
import { withFirm } from '#core/model/firm/with-firm';
import { reportOptions } from '#core/model/job/settings';
import { composeDocuments, READERS, withMore } from '#core/report/documents';
import { drawForReport } from '#core/report/frozen';
import { chooseStills } from '#core/report/stills';
import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { safeName, sendFile } from '#server/http/file';
import { refuseMethod, requireInspection } from '#server/http/params';
import { compareDraft, firmOfJob, stillsToPrint } from '#server/services/reports';
import { printPdf } from '../../../../pdf/print-pdf';

/** The report as it stands, as PDF: a draft, and says so on each page. */
export const GET = endpoint(async (context) => {
  const { call } = context.locals;
  const known = requireInspection(context);
  const inspection = withFirm(known, firmOfJob(call, known.job.id));
  const wanted = context.url.searchParams.get('reader') ?? 'buyer';
  const reader = READERS.find((one) => one === wanted);
  if (!reader) throw refuseUnknown('reader of a report');
  const assessment = assessed(inspection);
  const { job, property } = inspection;
  const stills = chooseStills(assessment).map(({ photoId }) => photoId);
  const more = reader === 'buyer' ? compareDraft(call, job.id, assessment) : [];
  const bytes = await printPdf({
    title: job.title,
    author: job.inspector,
    blocks: withMore(composeDocuments(assessment)[reader], more),
    section: drawForReport(assessment).paper,
    paper: reportOptions(assessment.settings).paper,
    footer: `${property.address} · draft, not issued`,
    stills: await stillsToPrint(call, job.id, stills),
    at: new Date(),
  });
  return sendFile({
    name: `${safeName(job.title)}-${reader}-draft.pdf`,
    type: 'application/pdf',
    bytes,
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
