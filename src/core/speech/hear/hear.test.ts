import { describe, expect, it } from 'vitest';
import { scoreNarrations } from '../../../../bench/speech/score-narrations';
import { assess } from '../../assess';
import { checkInspection } from '../../interchange/inspection-file';
import { composeReport } from '../../report/compose';
import { asInspection } from './as-inspection';
import { readCues } from './cues';
import { hear } from './hear';
import { splitSentences } from './sentences';

const told = (...sentences: string[]) => hear(sentences.join('\n'));
const draftsOf = (...sentences: string[]) =>
  told(...sentences).runs.flatMap(({ entries }) =>
    entries.map(({ id: _id, sentence: _sentence, note: _note, ...draft }) => draft),
  );

describe('whole narrations', () => {
  const scored = scoreNarrations('bench/speech/narrations/seen');

  it('are found in, placed, and say nothing that was not said', () => {
    const sum = (field: 'wanted' | 'found' | 'placed' | 'placeable') =>
      scored.reduce((total, one) => total + one[field], 0);
    expect(scored.length).toBeGreaterThanOrEqual(10);
    expect(sum('found') / sum('wanted')).toBeGreaterThanOrEqual(0.95);
    expect(sum('placed') / sum('placeable')).toBeGreaterThanOrEqual(0.95);
    const sentences = scored.reduce((total, one) => total + one.sentences, 0);
    const falseFacts = scored.flatMap((one) => one.falseFacts);
    expect(falseFacts.length / sentences).toBeLessThanOrEqual(0.01);
  });
});

describe('subtitles and text', () => {
  it('are read with their times, whatever the format', () => {
    expect(readCues('WEBVTT\n\n1\n00:00:01.500 --> 00:00:03.000\n<v A>Roots</v> here.\n')).toEqual([
      { fromMs: 1500, toMs: 3000, text: 'Roots here.' },
    ]);
    expect(readCues('1\r\n00:01:02,250 --> 00:01:04,000\r\nRoots.\r\n')).toEqual([
      { fromMs: 62_250, toMs: 64_000, text: 'Roots.' },
    ]);
    expect(readCues('[01:02] Roots.\nNo time here.')).toEqual([
      { fromMs: 62_000, toMs: 62_000, text: 'Roots.' },
      { fromMs: null, toMs: null, text: 'No time here.' },
    ]);
  });

  it('are put together where a cue cuts a sentence, and what rolls by twice counts once', () => {
    const cue = (fromMs: number, text: string) => ({ fromMs, toMs: fromMs + 900, text });
    expect(
      splitSentences([
        cue(0, 'There are roots'),
        cue(1000, 'at fifty seven feet. No'),
        cue(2000, 'grease.'),
      ]).map(({ text }) => text),
    ).toEqual(['There are roots at fifty seven feet.', 'No grease.']);
    expect(
      splitSentences([
        cue(0, 'okay roots at the joint'),
        cue(5000, 'roots at the joint at fifty seven'),
        cue(9000, 'roots at the joint at fifty seven'),
      ]).map(({ text }) => text),
    ).toEqual(['okay roots at the joint', 'at fifty seven']);
  });
});

describe('what is remembered from sentence to sentence', () => {
  it('a footage said by itself is where the next thing is, and that of the sentence after it', () => {
    expect(draftsOf("We're at 57 feet.", 'Roots here.')).toMatchObject([
      { defect: 'roots', readingFt: 57 },
    ]);
    expect(draftsOf('Roots here.', "That's at 57 feet.")).toMatchObject([
      { defect: 'roots', readingFt: 57 },
    ]);
  });

  it('a footage that nobody said stays unknown', () => {
    expect(draftsOf('Crack at 31.', 'Roots here.')).toMatchObject([
      { defect: 'crack', readingFt: 31 },
      { defect: 'roots', readingFt: null },
    ]);
  });

  it('"it" is what was said last', () => {
    expect(draftsOf('Roots at 57.', "It's about forty percent.")).toMatchObject([
      { defect: 'roots', readingFt: 57, extentRatio: 0.4 },
    ]);
  });

  it('the way back begins at the end, or where it is said', () => {
    expect(draftsOf('Main at 80, I can see it.', 'Roots at 57.').map(({ pass }) => pass)).toEqual([
      'out',
      'back',
    ]);
    expect(draftsOf('Coming back now.', 'Roots at 57.').map(({ pass }) => pass)).toEqual(['back']);
  });

  it('another opening is another run', () => {
    const { runs } = told(
      "We're going in from the roof vent.",
      'Roots at 12.',
      'Now from the cleanout in the yard, looking upstream.',
      'Crack at 9.',
    );
    expect(runs.map(({ access, facing, entries }) => [access, facing, entries.length])).toEqual([
      ['roof-vent', 'downstream', 1],
      ['cleanout', 'upstream', 1],
    ]);
  });
});

describe('more of what was said, in a sentence of its own', () => {
  it.each([
    ['Twenty nine.', 'Roots at the joint.', { readingFt: 29 }],
    ['ABS.', 'Three inch here.', { diameterIn: 3 }],
    ["That's a low spot at 14.", "It's not deep, half an inch maybe.", { depthIn: 0.5 }],
    ['Crack at 42, ten to two.', 'Make that a fracture.', { readingFt: 42, clockFrom: 10 }],
    ['Bottom of the pipe is gone at 12.', 'It stays gone till fifteen.', { toReadingFt: 15 }],
  ])('%s %s', (first, second, want) => {
    expect(draftsOf(first, second)).toMatchObject([want]);
  });

  it('a stretch ends where it is said to, a new size begins where it is said to', () => {
    expect(draftsOf("That's a low spot at 14.", 'It runs to about eighteen.')).toMatchObject([
      { defect: 'standing-water', readingFt: 14 },
      { kind: 'close', readingFt: 18 },
    ]);
    expect(draftsOf('ABS, three inch.', 'Four inch now from five feet.')).toMatchObject([
      { material: 'abs', diameterIn: 3 },
      { material: 'abs', diameterIn: 4, readingFt: 5 },
    ]);
  });

  it('"it is plastic" of ABS, and the bend that was just called, are no other things', () => {
    expect(draftsOf('This is ABS.', "It's plastic, so it settles a bit.")).toHaveLength(1);
    expect(draftsOf('Bend at six.', "That's your bend under the slab.")).toHaveLength(1);
  });

  it('a number that fits a pipe is its size where the camera would have to jump back', () => {
    expect(draftsOf('Roots at 15.', 'Eighteen, clay six.').at(-1)).toMatchObject({
      material: 'vitrified-clay',
      readingFt: 18,
      diameterIn: 6,
    });
  });
});

describe('where a run begins and is over', () => {
  it('an opening that was refused, and the one that was used instead, in one sentence', () => {
    const { runs, facts } = told(
      "I couldn't find a cleanout so we've pulled the toilet in the hall bath.",
      'Cast iron.',
    );
    expect(runs.map(({ access }) => access)).toEqual(['pulled-toilet']);
    expect(facts.accessPoints).toMatchObject([{ kind: 'cleanout' }]);
  });

  it('the same opening the other way is another run', () => {
    const { runs } = told(
      'Alright, two way cleanout by the driveway, going to the street.',
      'Main at 51.',
      'Now same cleanout other way.',
      'Crack at 9.',
    );
    expect(runs.map(({ access, facing }) => [access, facing])).toEqual([
      ['two-way-cleanout', 'downstream'],
      ['two-way-cleanout', 'upstream'],
    ]);
  });

  it('once the camera is home nothing more is seen: what is said again is compared', () => {
    const { runs, differences } = told(
      'Roots at 30.',
      'Main at 51.',
      'Reading zero point two at the cleanout again.',
      'So roots at thirty, and a hole.',
    );
    expect(runs[0]!.entries.map(({ kind }) => kind)).toEqual(['defect', 'end', 'home']);
    expect(differences).toMatchObject([{ logged: null }]);
  });

  it.each(["I'm going to come back now.", "I'll pull back now.", 'Okay bring her back.'])(
    '%s: the way back',
    (said) => {
      expect(draftsOf(said, 'Roots at 12.')).toMatchObject([{ pass: 'back' }]);
    },
  );

  it('a plan to come back is no way back', () => {
    expect(
      draftsOf("If I get stuck I'll come back and try the toilet.", 'Roots at 12.'),
    ).toMatchObject([{ pass: 'out' }]);
  });
});

describe('what is taken back', () => {
  it('gives way to what is said in its place, and is kept as withdrawn', () => {
    const { runs } = told('Offset at 22, half inch.', 'No wait, make that a quarter inch.');
    expect(runs[0]!.entries).toMatchObject([{ defect: 'offset', readingFt: 22, offsetIn: 0.25 }]);
    expect(runs[0]!.withdrawn).toMatchObject([{ defect: 'offset', offsetIn: 0.5 }]);
  });

  it.each([
    ['Concrete from 40.', "That's not concrete after all."],
    ['Crack at 31.', 'Actually that is not a crack.'],
    ['Crack at 31.', 'Scratch that.'],
  ])('%s %s', (said, denied) => {
    const { runs } = told(said, denied);
    expect(runs[0]!.entries.filter(({ kind }) => kind !== 'clear')).toEqual([]);
    expect(runs[0]!.withdrawn).toHaveLength(1);
  });
});

describe('a wrap-up', () => {
  it('logs nothing again, and shows what it says otherwise', () => {
    const { runs, differences } = told(
      'Roots at 57.',
      'So overall there are roots at 57.',
      'A belly from 20 to 30.',
      'No roots.',
    );
    expect(runs[0]!.entries.map(({ kind }) => kind)).toEqual(['defect']);
    expect(differences).toEqual([
      { says: 'A belly from 20 to 30.', logged: null },
      { says: 'No roots.', logged: 'Roots' },
    ]);
  });

  it('may still advise', () => {
    expect(draftsOf('Roots at 57.', 'Overall they should be cut.')).toMatchObject([
      { defect: 'roots' },
      { kind: 'advice', does: 'cut' },
    ]);
  });
});

describe('an inspection made of what was heard', () => {
  const heard = told("We're going in from the cleanout.", 'Roots at 12.', 'Giving up on this one.');

  it('opens, and says of the opening and the ground no more than was said', () => {
    const checked = checkInspection(asInspection(heard, '2026-11-03T09:00:00Z'));
    if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
    const [access] = checked.value.accessPoints;
    expect(access).toMatchObject({ kind: 'cleanout', place: 'cleanout, size not said' });
    expect(access).not.toHaveProperty('zone');
    expect(checked.value.runs[0]).toMatchObject({
      outcome: 'abandoned',
      zero: { at: 'unknown' },
      cleanedBefore: 'unknown',
    });
    const assessment = assess(checked.value);
    expect(assessment.lateral.segments.every(({ zone }) => zone === null)).toBe(true);
    expect(JSON.stringify(composeReport(assessment).blocks)).not.toContain('in the yard');
  });
});

describe('what is no line of the log', () => {
  it('is kept as a fact, a refused opening, or words that nothing was made of', () => {
    const heard = told(
      'The cleanout by the garage is buried.',
      'Zeroed at the rim.',
      'House was built in 1952.',
      'The dog is barking.',
    );
    expect(heard.facts).toMatchObject({
      property: { yearBuilt: 1952 },
      accessPoints: [{ kind: 'cleanout', why: 'The cleanout by the garage is buried.' }],
    });
    expect(heard.unread.map(({ text }) => text)).toEqual(['The dog is barking.']);
    expect(heard.runs.flatMap(({ entries }) => entries)).toEqual([]);
  });
});
