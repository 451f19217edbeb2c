import { isRunGrade, whyNoGrade } from './families';
import { cures, methodOf } from './method';

/** A pump serves the whole line: one, whatever it cures. */
export const ejector = methodOf({
  id: 'ejector',
  name: 'Pumped ejection',
  verb: 'Fit pumped ejection',
  role: 'replace',
  extent: 'fitting',
  order: 45,
  lifeYears: 12,
  by: 'a licensed plumber and electrician',
  needsPermit: true,
  price: { visit: 'ejector.visit' },
  reach: ({ span }) => ({ fromFt: span.fromFt, toFt: span.fromFt }),
  verdict: (finding, site) =>
    (finding.kind === 'standing-water' || isRunGrade(finding)) && whyNoGrade(finding, site) !== null
      ? cures('a pump lifts what gravity cannot carry')
      : null,
});
