import { FEATURE_SAYINGS, MATERIAL_SAYINGS, takeFrom, ZONE_SAYINGS } from '../lexicon';
import { takeClock, takeFeetInches, takeFootage, takeInches } from '../quantities';
import type { Scan } from '../scan';
import { noteOf, type Reader, readingOr, takeCertainty, wantFootage } from './reader';

function takeSide(scan: Scan): 'far' | 'near' {
  const near = scan.take(
    /\b(?:near side|this side|toward (?:me|us|the access)|behind|before (?:this|here)|up to here|until here|back from here)\b/,
  );
  if (!near) scan.take(/\b(?:far side|beyond|from here(?: on)?|onward|past here|ahead)\b/);
  return near ? 'near' : 'far';
}

/** "27 clay", "66 pvc 6 in sleeve", "9.5 abs near side", "clay?" */
export const readMaterial: Reader = (scan, context) => {
  const material = takeFrom(MATERIAL_SAYINGS, scan);
  if (material === null) return null;
  const side = takeSide(scan);
  const lined = material !== 'liner' && scan.take(/\b(?:lined|with (?:a )?liner)\b/) !== null;
  const lip = scan.take(/\blip(?:\s+(?:of\s+)?(\d+(?:\.\d+)?|\.\d+)\s*(?:"|in\b|inch(?:es)?))?/);
  const coupling = lip ? null : scan.take(/\b(?:sleeve(?: coupling)?|coupling|no-hub|band)\b/);
  const smooth = scan.take(/\bsmooth\b/);
  const certainty = takeCertainty(scan);
  scan.take(/\b(?:changes?|switch(?:es)?|transitions?|goes|turns) (?:in)?to\b|\bpipe\b/);
  const saidIn = takeInches(scan);
  const footage = takeFootage(scan);
  const diameterIn = saidIn ?? context.boreHereIn;
  return {
    drafts: [
      {
        kind: 'material',
        pass: context.pass,
        readingFt: readingOr(context, footage.fromFt),
        side,
        material,
        diameterIn: diameterIn ?? 4,
        ...(lined ? { lined: true } : {}),
        ...(lip ? { joint: 'lip' as const } : {}),
        ...(lip?.[1] ? { lipIn: Number(lip[1]) } : {}),
        ...(coupling ? { joint: 'coupling' as const } : {}),
        ...(smooth ? { joint: 'smooth' as const } : {}),
        ...certainty,
        ...noteOf(scan),
      },
    ],
    missing: [
      ...wantFootage(context, footage),
      ...(saidIn === null ? [`the bore: taken as ${diameterIn ?? 4} in`] : []),
    ],
  };
};

/** "tee 12 3 o'clock serves kitchen", "bend 45 left at 30", "property line 64". */
export const readFeature: Reader = (scan, context) => {
  const feature = takeFrom(FEATURE_SAYINGS, scan);
  if (feature === null) return null;
  const serves = scan.take(
    /\b(?:serves|serving|for|to)\s+(?:the\s+)?([a-z][a-z ]*?)(?=\s+(?:at\s+)?\d|[,;]|\s*$)/,
  );
  const clock = takeClock(scan, false);
  const angle =
    feature === 'bend'
      ? (scan.take(/(\d+(?:\.\d+)?)\s*(?:deg(?:rees?)?|°)/) ??
        scan.take(/(?<![\d.])\b(11\.25|22\.5|22|45|60|90)\b(?![\d.])/))
      : null;
  const turns = feature === 'bend' ? scan.take(/\b(left|right|up|down)\b/) : null;
  const dropIn = feature === 'drop' ? takeDrop(scan) : null;
  const certainty = takeCertainty(scan);
  const footage = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'feature',
        pass: context.pass,
        readingFt: readingOr(context, footage.fromFt),
        feature,
        ...(clock ? { clock: clock.from } : {}),
        ...(angle ? { angleDeg: Number(angle[1]) } : {}),
        ...(turns ? { turns: turns[1]! } : {}),
        ...(serves ? { serves: serves[1]!.trim() } : {}),
        ...(dropIn !== null ? { dropFt: dropIn / 12 } : {}),
        ...certainty,
        ...noteOf(scan),
      },
    ],
    missing: wantFootage(context, footage),
  };
};

/** A drop is said with its unit ("drop 2 ft"): a bare number is where it is. */
function takeDrop(scan: Scan): number | null {
  return scan.has(/\d\s*(?:'|ft\b|feet\b|foot\b|"|in\b|inch)/) ? takeFeetInches(scan) : null;
}

/** "driveway 38", "zone yard near side". */
export const readZone: Reader = (scan, context) => {
  scan.take(
    /\b(?:zone|under(?: the)?(?= (?:yard|driveway|patio|street|walk|strip|sidewalk|lawn|road)))\b/,
  );
  const zone = takeFrom(ZONE_SAYINGS, scan);
  if (zone === null) return null;
  const side = takeSide(scan);
  const footage = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'zone',
        pass: context.pass,
        readingFt: readingOr(context, footage.fromFt),
        zone,
        side,
        ...noteOf(scan),
      },
    ],
    missing: wantFootage(context, footage),
  };
};

const SURFACE: readonly (readonly [string, RegExp])[] = [
  ['sunken-ground', /\b(?:sunken|sunk|settled) (?:ground|soil|yard|pavement)\b|\bsinkhole\b/],
  ['wet-ground', /\bwet (?:ground|spot|soil|yard)\b/],
  ['buried-cleanout', /\bburied (?:clean-?out|co)\b/],
  ['hedge', /\bhedges?\b|\bshrubs?\b|\bbush(?:es)?\b/],
  ['tree', /\b(?:big |large |small )?(?:trees?|stump)\b/],
];

/** "tree 30, 4 ft off": something on the surface over or near the line. */
export const readSurface: Reader = (scan, context) => {
  const found = SURFACE.find(([, pattern]) => scan.has(pattern));
  if (!found) return null;
  scan.take(found[1]);
  const offset = scan.take(
    /(\d+(?:\.\d+)?)\s*(?:ft|feet|')?\s+(?:off|to the side|away|left|right)\b/,
  );
  const footage = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'surface',
        pass: context.pass,
        readingFt: readingOr(context, footage.fromFt),
        what: found[0],
        ...(offset ? { offsetFt: Number(offset[1]) } : {}),
        ...noteOf(scan),
      },
    ],
    missing: wantFootage(context, footage),
  };
};

/** `locate 4'1" white x 6'2" from garage corner`, "locate blocked by car". */
export const readLocate: Reader = (scan, context) => {
  if (!scan.take(/\blocat(?:e|ed|or)\b/)) return null;
  const at = scan.take(/\bat (\d+(?:\.\d+)?)\s*(?:ft|feet)?(?=[ ,]*(?:deep|depth|:|,))/);
  const readingFt = readingOr(context, at ? Number(at[1]) : null);
  const blocked = scan.take(/\bblocked(?: by)?\s+(.+)$/);
  const base = { kind: 'locate', pass: context.pass, readingFt } as const;
  if (blocked) {
    return { drafts: [{ ...base, blockedBy: blocked[1]!.trim() }], missing: [] };
  }
  scan.take(/\b(?:depth|deep)\b/);
  const swings = takeSwings(scan);
  const depthIn = takeFeetInches(scan) ?? takeBareFeet(scan);
  const mark = scan.take(
    /\b((?:white|red|green|blue|orange|pink|yellow|black)\s+(?:x|cross|dot|flag|stake|paint|mark|line)|flag|stake|whiskers?|paint(?:ed)?(?: x)?)\b/,
  );
  const one = swings.length === 1 ? swings[0] : undefined;
  return {
    drafts: [
      {
        ...base,
        ...(depthIn === null ? {} : { depthIn }),
        ...(mark ? { mark: mark[1]! } : {}),
        ...(swings.length > 1 ? { swings } : {}),
        ...(one ? { reference: `${one.distanceFt} ft from ${one.from}` } : {}),
        ...noteOf(scan),
      },
    ],
    missing: [
      ...(depthIn === null ? ['the depth'] : []),
      ...(swings.length === 0 ? ['a distance from something that will not move'] : []),
    ],
  };
};

function takeBareFeet(scan: Scan): number | null {
  const bare = scan.take(/(?<![\w.])(\d+(?:\.\d+)?)(?![\w.%])/);
  return bare ? Number(bare[1]) * 12 : null;
}

function takeSwings(scan: Scan): { from: string; distanceFt: number }[] {
  const swings: { from: string; distanceFt: number }[] = [];
  const pattern =
    /(\d+(?:\.\d+)?)\s*(?:'|ft|feet|foot)?\s*(?:(\d+(?:\.\d+)?)\s*(?:"|in\b|inch(?:es)?))?\s*(?:from|off|to)\s+(?:the\s+)?([a-z][a-z' -]*?)(?=\s*(?:,|;|and\s+\d|\d|$))/;
  for (let match = scan.take(pattern); match && swings.length < 6; match = scan.take(pattern)) {
    const distanceFt = Number(match[1]) + (match[2] ? Number(match[2]) / 12 : 0);
    swings.push({ from: match[3]!.trim(), distanceFt: Math.round(distanceFt * 100) / 100 });
  }
  return swings;
}
