/** A word button: what it shows and what it puts on the line. A button that `logs` sends at once. */
export type WordButton = { readonly label: string; readonly says: string; readonly logs?: boolean };

/** Things, in the order in which they are met most. */
export const THINGS: readonly WordButton[] = [
  { label: 'Flag', says: 'flag', logs: true },
  { label: 'Roots', says: 'roots' },
  { label: 'Offset', says: 'offset' },
  { label: 'Gap', says: 'gap' },
  { label: 'Crack', says: 'crack' },
  { label: 'Break', says: 'break' },
  { label: 'Water from', says: 'standing water from' },
  { label: 'Water to', says: 'standing water to' },
  { label: 'Scale', says: 'scale' },
  { label: 'Grease', says: 'grease' },
  { label: 'Debris', says: 'debris' },
  { label: 'Clay', says: 'clay' },
  { label: 'Iron', says: 'cast iron' },
  { label: 'ABS', says: 'abs' },
  { label: 'PVC', says: 'pvc' },
  { label: 'Tee', says: 'tee' },
  { label: 'Bend', says: 'bend' },
  { label: 'Property line', says: 'property line' },
  { label: 'Locate', says: 'locate' },
  { label: 'Can’t see', says: "can't see from here" },
  { label: 'Can see', says: 'can see now' },
  { label: 'Main, seen', says: 'main, seen' },
  { label: 'Not reached', says: 'not reached,' },
  { label: 'Home', says: 'home' },
];

/** Words that size or place the thing on the line. */
export const QUALITIES: readonly WordButton[] = [
  { label: '10%', says: '10%' },
  { label: '25%', says: '25%' },
  { label: '50%', says: '50%' },
  { label: '75%', says: '75%' },
  { label: '½ in', says: '0.5 in' },
  { label: '1 in', says: '1 in' },
  { label: '4 in', says: '4 in' },
  { label: '6 in', says: '6 in' },
  { label: 'at joint', says: 'at joint' },
  { label: 'in barrel', says: 'in the barrel' },
  { label: 'hairline', says: 'hairline' },
  { label: 'open', says: 'open' },
  { label: 'holds debris', says: 'holds debris' },
  { label: 'soil visible', says: 'soil visible' },
  { label: 'maybe', says: 'maybe' },
  { label: 'this side', says: 'this side' },
];
