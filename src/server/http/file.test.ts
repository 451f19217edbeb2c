import { expect, it } from 'vitest';
import { safeName, sendFile } from './file';

it.each([
  ['14 Alder Bend', '14-alder-bend'],
  ['../../etc/passwd', 'etcpasswd'],
  ['Łódź "x"', 'd-x'],
  ['///', 'job'],
])('names a file for %s %s', (title, name) => {
  expect(safeName(title)).toBe(name);
});

it('shows a PDF, and offers all else for keeping; no header can be smuggled in', async () => {
  const head = (type: string, name = 'a.x') => sendFile({ name, type, bytes: 'x' }).headers;
  expect(head('application/pdf').get('content-disposition')).toBe('inline; filename="a.x"');
  expect(head('text/csv').get('content-disposition')).toBe('attachment; filename="a.x"');
  expect(head('text/csv').get('content-type')).toBe('text/csv; charset=utf-8');
  expect(head('text/csv', 'a"\r\nx: y').get('content-disposition')).toBe(
    'attachment; filename="a___x__y"',
  );
  expect(head('text/html').get('x-robots-tag')).toContain('noindex');
  expect(
    await sendFile({
      name: 'a',
      type: 'application/zip',
      bytes: Buffer.from([1, 2]),
    }).arrayBuffer(),
  ).toHaveProperty('byteLength', 2);
});
