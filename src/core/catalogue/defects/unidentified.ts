import type { DefectSpec } from '../defect';
import { fixedAt } from '../severity/fixed';

export const unidentified: DefectSpec = {
  name: 'Unidentified',
  buyer: { name: 'Something not named yet', trade: 'unidentified', plural: 'things not named' },
  said: 'unidentified|unknown {thing|object}|something|something [is] here|{dont|do not} know [what] {this is|that is|it is}|not sure what {this is|that is|it is|i see}|{dont|do not} know what|not sure what|what is {this|that}|{cant|cannot|could not|couldnt} {tell|make out|say} what [{this|that|it} is|thats|its]|no idea what [{this|that|it} is|thats]',
  severity: fixedAt('unidentified', 'moderate', 'something that could not be named'),
  says: () => 'Something was seen that could not be named.',
  means: 'It has to be cleaned and seen again before anyone can judge it.',
  traits: ['said-by-clock', 'never-major'],
  drawnAs: 'unidentified',
};
