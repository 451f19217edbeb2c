import { isDay } from '#core/base/day';
import { Refusal } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { writeInvoices } from '#server/services/office';

/** Fees and invoice numbers as CSV: `?from=YYYY-MM-DD&until=YYYY-MM-DD`; without them, all. */
export const GET = endpoint(({ url, locals }) => {
  const from = url.searchParams.get('from') || '0000-01-01';
  const until = url.searchParams.get('until') || '9999-12-31';
  for (const day of [from, until].filter((one) => !/^(0000|9999)/.test(one)))
    if (!isDay(day))
      throw new Refusal(400, 'bad-input', `Expected days as YYYY-MM-DD, got ${day.slice(0, 40)}.`);
  return new Response(writeInvoices(locals.call, from, until), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="chert-invoices.csv"',
    },
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
