import { describe, expect, it } from 'vitest';
import { MAIN_AT_60 } from '../testing/build';
import { joined, runFrom, tee, tieOf } from '../testing/joined';
import { hrefOfIssue, placeOfIssue } from './place-of-issue';

const runs = [
  runFrom('R1', 'A', 'downstream', [tee(20), tee(40), MAIN_AT_60]),
  runFrom('R2', 'B', 'upstream', [tee(12), tee(40)]),
];
const issuesOf = (...ties: string[]) =>
  joined({ runs, ties: ties.map((words, index) => tieOf(`T${index + 1}`, words)) }).checks;
const first = (issues: ReturnType<typeof issuesOf>, code: string) =>
  issues.find((issue) => issue.code === code)!;

describe('where an issue is cleared', () => {
  it('is the Lateral for what joins runs, at the tie', () => {
    const alone = first(issuesOf('R1 2 = R2 1'), 'tie-unchecked');
    expect(placeOfIssue(alone)).toEqual({ stage: 'lateral', runId: 'R1', entryId: 'e1' });
    const apart = first(issuesOf(), 'run-unplaced');
    expect(apart).toMatchObject({ level: 'blocker', runIds: ['R2'] });
    expect(hrefOfIssue('a b', apart)).toBe('/jobs/a%20b/lateral?run=R2');
  });
  it('is Scope for what was logged, at its run and entry', () => {
    const issue = {
      code: 'size-missing',
      level: 'warning',
      message: '',
      action: '',
      runIds: ['R1'],
      entryIds: ['e&1'],
    } as const;
    expect(hrefOfIssue('j', issue)).toBe('/jobs/j/scope?run=R1&entry=e%261');
  });
  it('names what would make a misfit fit as the thing to do', () => {
    // R2 read 21 for the tee that lies at 12 from B, and its other tee says so.
    const more = [
      runFrom('R1', 'A', 'downstream', [tee(20), tee(40), tee(50), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [tee(21), tee(32), tee(2)]),
    ];
    const ties = ['R1 2 = R2 1', 'R1 1 = R2 2', 'R1 3 = R2 3'].map((words, index) =>
      tieOf(`T${index + 1}`, words),
    );
    const misfit = first(joined({ runs: more, ties }).checks, 'tie-misfit');
    expect(misfit.message).toMatch(/^Tie T1 \(thing T1\) does not fit: it lies \d+(\.\d)? ft/);
    expect(misfit.action).toBe('R2 may have read 12.0, not 21.0: two digits swapped.');
    expect(misfit.entryIds).toEqual(['e2', 'e1']);
  });
});
