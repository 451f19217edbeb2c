import type { AccessPoint } from '../job/access-point';
import type { AccessKind, Zone } from '../log/vocabulary';

const BY_KIND: Partial<Record<AccessKind, string>> = {
  'roof-vent': 'Roof and ladder: fall protection, or do not go.',
  'pulled-toilet': 'Pulled toilet: new seal when it is refitted.',
};
const BY_ZONE: Partial<Record<Zone, string>> = {
  crawlspace: 'Crawlspace: air, wiring, animals; not alone.',
  basement: 'Water near electrics: keep both apart.',
  street: 'Street work: traffic control, and a permit.',
  walk: 'Street work: traffic control, and a permit.',
  strip: 'Street work: traffic control, and a permit.',
};
/** For every access there is. */
const ALWAYS = [
  'A line under pressure may spill when its cap is opened: stand clear, open slowly. Never force a cap.',
  'Sewage: gloves, eye cover, wash. Sewer gas: no flame, ventilate.',
];

/** The cautions for one access point: its own first, then those of every opening. */
export function cautionsFor(access: Pick<AccessPoint, 'kind' | 'zone'>): string[] {
  const own = [BY_KIND[access.kind], BY_ZONE[access.zone]];
  return [...own.filter((text) => text !== undefined), ...ALWAYS];
}
