import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { WebVTTParser } from 'webvtt-parser';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { assessmentOf, inspectionOf, minute, runOf } from '../testing/build';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { defect } from '../testing/rules';
import { readCsv } from './csv';
import { writeGeoJson } from './geojson';
import { listDays, writeCalendar } from './icalendar';
import {
  entriesOfRows,
  matchColumns,
  readObservations,
  writeObservations,
} from './observations-csv';
import { writeChapters } from './webvtt';

const never = () => 'new';

/** The job with the entries that its CSV gives back. */
function throughCsv(inspection: Inspection, csv: string): Inspection {
  const table = readCsv(csv);
  if (!table.ok) throw new Error(JSON.stringify(table.faults));
  const runs = inspection.runs.map((run) => {
    const own = { ...table.value, rows: table.value.rows.filter((row) => row['run'] === run.id) };
    const rows = readObservations(own, matchColumns(own.columns));
    if (!rows.ok) throw new Error(JSON.stringify(rows.faults));
    const entries = entriesOfRows(rows.value, never, minute(0));
    if (!entries.ok) throw new Error(JSON.stringify(entries.faults));
    return { ...run, entries: entries.value };
  });
  return { ...inspection, runs };
}

describe('observations as CSV', () => {
  it.each(DEMO_NAMES)('%s: CSV → entries → CSV', (name) => {
    const inspection = demoInspection(name);
    const csv = writeObservations(assess(inspection));
    expect(writeObservations(assess(throughCsv(inspection, csv)))).toBe(csv);
  });

  it('has the raw reading, the station and its ±, and no formula', () => {
    const said = { ...defect('roots', { extentRatio: 0.2 }), note: '=1+1' };
    const table = readCsv(writeObservations(assessmentOf([said])));
    const row = table.ok ? table.value.rows.find(({ what }) => what === 'Roots')! : {};
    expect(row).toMatchObject({ run: 'R1', reading_ft: '30', station_ft: '30', grade: 'moderate' });
    expect(Number(row['sigma_ft'])).toBeGreaterThan(0.5);
    expect(
      writeObservations(assessmentOf([{ kind: 'note', readingFt: 3, note: '@x', id: '=a' }])),
    ).toContain(`"'=a"`);
  });

  it('reads what others write: columns guessed, numbers as people write them, nothing dropped', () => {
    const table = readCsv(
      'Footage;Description;Way\n12,5;tee, kitchen;out\n30;roots 20% at joint;back\n41;grumble;out',
    );
    if (!table.ok) throw new Error('no table');
    expect(matchColumns(table.value.columns)).toMatchObject({
      reading: 'Footage',
      what: 'Description',
      pass: 'Way',
    });
    const bad = readObservations(table.value, matchColumns(table.value.columns));
    expect(bad).toMatchObject({
      ok: false,
      faults: [{ path: 'line 2, Footage', expected: 'a reading in feet' }],
    });
    const good = { ...table.value, rows: table.value.rows.slice(1) };
    const rows = readObservations(good, matchColumns(good.columns));
    expect(rows).toMatchObject({
      ok: true,
      value: [
        {
          kept: null,
          drafts: [
            { kind: 'defect', defect: 'roots', readingFt: 30, pass: 'back', extentRatio: 0.2 },
          ],
        },
        { kept: 'flag', drafts: [{ kind: 'flag', readingFt: 41 }] },
      ],
    });
  });

  it('asks for the column that says what was seen', () => {
    const table = readCsv('a,b\n1,2');
    expect(
      table.ok && readObservations(table.value, matchColumns(table.value.columns)),
    ).toMatchObject({ ok: false, faults: [{ next: 'choose the column' }] });
  });
});

describe('a calendar', () => {
  it.each(DEMO_NAMES)('%s is read by a parser of others, every day as it was', (name) => {
    const assessment = assess(demoInspection(name));
    const calendar = new ICAL.Component(ICAL.parse(writeCalendar(assessment)));
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    const days = listDays(assessment);
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(days.map(({ on }) => on));
    expect(events.map(({ summary }) => summary)).toEqual(days.map(({ title }) => title));
    expect(events.every(({ startDate }) => startDate.isDate)).toBe(true);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  });

  it('is the same however often it is written, and upkeep comes round', () => {
    const assessment = assess(demoInspection('alder-bend'));
    expect(writeCalendar(assessment)).toBe(writeCalendar(assess(demoInspection('alder-bend'))));
    expect(writeCalendar(assessment)).toMatch(/RRULE:FREQ=YEARLY;INTERVAL=\d/);
    expect(listDays(assessment).map(({ key }) => key.split('-')[0])).toEqual([
      'step',
      'step',
      'step',
      'period',
      'scope',
      'upkeep',
      'upkeep',
    ]);
  });

  it('keeps a line of text a line: no property can be smuggled in', () => {
    const inspection = demoInspection('alder-bend');
    const property = { ...inspection.property, address: 'x\r\nATTACH:http://x.example\r\n;y' };
    const text = writeCalendar(assess({ ...inspection, property }));
    expect(text).not.toMatch(/^ATTACH/m);
    expect(() => ICAL.parse(text)).not.toThrow();
  });
});

describe('chapters of a run', () => {
  it.each(DEMO_NAMES)('%s: read by a parser of others without a fault', (name) => {
    const assessment = assess(demoInspection(name));
    for (const { id } of assessment.inspection.runs) {
      const { cues, errors } = new WebVTTParser().parse(writeChapters(assessment, id)!, 'chapters');
      expect(errors).toEqual([]);
      expect(cues).toHaveLength(assessment.logs.get(id)!.standing.length);
      expect(cues.every(({ startTime, endTime }) => endTime > startTime)).toBe(true);
    }
  });

  it('lets no markup and no timing through, and knows its runs', () => {
    const text = writeChapters(
      assessmentOf([{ kind: 'note', readingFt: 3, note: '<b>x</b>\n\n00:00 --> 00:09' }]),
      'R1',
      5000,
    )!;
    expect(text).not.toContain('<b>');
    expect(text).toContain('00:00:05.000 --> 00:01:05.000');
    expect(writeChapters(assessmentOf([]), 'R9')).toBeNull();
  });
});

it('located points that have positions are GeoJSON, longitude first', () => {
  const located = {
    kind: 'locate',
    depthIn: 40,
    mark: 'white x',
    readingFt: 20,
    position: { latDeg: 45.5, lonDeg: -122.6 },
  } as const;
  const read = JSON.parse(
    writeGeoJson(assessmentOf([located, { kind: 'locate', depthIn: 30, readingFt: 30 }])),
  );
  expect(read.type).toBe('FeatureCollection');
  expect(read.features).toHaveLength(1);
  expect(read.features[0]).toMatchObject({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: [-122.6, 45.5] },
    properties: { stationFt: 20, depthIn: 40, mark: 'white x' },
  });
});

it('an issued number stays with its finding, and no other ever takes it', () => {
  const roots = defect('roots', { extentRatio: 0.2, readingFt: 20 });
  const crack = defect('crack', { form: 'open', readingFt: 40 });
  const numbersOf = (inspection: Inspection) =>
    Object.fromEntries(assess(inspection).findings.map(({ id, number }) => [id, number]));
  const issued = {
    id: 'N',
    kind: 'issued-numbers',
    reason: '',
    numbers: { 'F-R1-e1': 4, 'F-R1-e9': 1 },
  };
  const inspection = { ...inspectionOf([runOf([roots, crack])]), decisions: [issued as never] };
  expect(numbersOf(inspection)).toEqual({ 'F-R1-e1': 4, 'F-R1-e2': 2 });
  const taken = { ...issued, numbers: { 'F-R1-e1': 2 } };
  expect(numbersOf({ ...inspection, decisions: [taken as never] })).toEqual({
    'F-R1-e1': 2,
    'F-R1-e2': 3,
  });
});
