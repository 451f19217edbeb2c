import { seededRandom, seedOf } from '#core/base/random';
import { markOf } from '#core/catalogue/defects/kinds';
import { boreAtFt } from '#core/simulator/course';
import type { PathThing, RigPath } from '#core/simulator/path';
import { formOf } from './form';
import type { PictureDrawer, PictureView } from './view';
import { shapeWall } from './wall/wall';

/** Rings of the pipe, feet ahead of the lens, far to near. */
const RINGS_FT = [7, 5, 3.6, 2.6, 1.9, 1.4, 1, 0.72, 0.5, 0.34, 0.22];
const SIDES = 48;
/** Half the field of view as a tangent. */
const FIELD = 0.6;

/**
 * The picture without WebGL: the bore as rings in perspective, each in the colours of its wall, with
 * water, and marks for what stands in the bore. Plain, but from the same truth.
 *
 * @returns `null` when the page cannot draw on a canvas at all.
 */
export function createPlainPicture(canvas: HTMLCanvasElement, path: RigPath): PictureDrawer | null {
  const context = canvas.getContext('2d');
  if (!context) return null;
  return {
    draw: (view) => {
      const { width, height } = canvas;
      context.fillStyle = '#000';
      context.fillRect(0, 0, width, height);
      for (let index = 0; index < RINGS_FT.length - 1; index += 1) {
        drawBand(context, path, view, RINGS_FT[index]!, RINGS_FT[index + 1]!);
        drawWater(context, path, view, RINGS_FT[index]!, RINGS_FT[index + 1]!);
        for (const thing of path.things) {
          const aheadFt = thing.fromFt - view.headFt;
          if (aheadFt > RINGS_FT[index + 1]! && aheadFt <= RINGS_FT[index]!) {
            drawMark(context, path, view, thing);
          }
        }
      }
      dim(context, view);
    },
    resize: (width, height) => {
      canvas.width = width;
      canvas.height = height;
    },
    dispose: () => undefined,
  };
}

type Spot = { readonly x: number; readonly y: number };

/** Where a point of the pipe lies on the picture. */
function project(
  { canvas: { width, height } }: CanvasRenderingContext2D,
  path: RigPath,
  view: PictureView,
  aheadFt: number,
  clock: number,
  outFt: number,
): Spot {
  const lowFt = view.lensFt - boreAtFt(path, view.headFt) / 2;
  const scale = height / 2 / FIELD / Math.max(0.05, aheadFt);
  const angle = (clock * Math.PI) / 6;
  return {
    x: width / 2 + Math.sin(angle) * outFt * scale,
    y: height / 2 - (Math.cos(angle) * outFt - lowFt) * scale,
  };
}

/** A piece of the wall between two rings, side by side in the colours it has there. */
function drawBand(
  context: CanvasRenderingContext2D,
  path: RigPath,
  view: PictureView,
  farFt: number,
  nearFt: number,
): void {
  const clampTo = (aheadFt: number) => Math.min(path.lengthFt, view.headFt + aheadFt);
  const shaper = shapeWall(path, clampTo(nearFt), clampTo(farFt));
  const light = 1 / (1 + 0.55 * nearFt * nearFt);
  const radii = (aheadFt: number) =>
    Array.from(
      { length: SIDES + 1 },
      (_, side) => shaper.at(clampTo(aheadFt), ((12 * side) / SIDES) % 12).radiusFt,
    );
  const [far, near] = [radii(farFt), radii(nearFt)];
  for (let side = 0; side < SIDES; side += 1) {
    const clocks = [(12 * side) / SIDES, (12 * (side + 1)) / SIDES] as const;
    const { red, green, blue } = shaper.at(clampTo((farFt + nearFt) / 2), clocks[0] % 12);
    const part = (share: number) => Math.round(255 * Math.sqrt(share * share * light));
    context.fillStyle = `rgb(${part(red)} ${part(green)} ${part(blue)})`;
    const corners = [
      project(context, path, view, farFt, clocks[0], far[side]!),
      project(context, path, view, farFt, clocks[1], far[side + 1]!),
      project(context, path, view, nearFt, clocks[1], near[side + 1]!),
      project(context, path, view, nearFt, clocks[0], near[side]!),
    ];
    context.beginPath();
    corners.forEach(({ x, y }, index) =>
      index === 0 ? context.moveTo(x, y) : context.lineTo(x, y),
    );
    context.fill();
  }
}

function drawWater(
  context: CanvasRenderingContext2D,
  path: RigPath,
  view: PictureView,
  farFt: number,
  nearFt: number,
): void {
  const edge = (aheadFt: number): readonly [Spot, Spot] | null => {
    const atFt = Math.min(path.lengthFt, view.headFt + aheadFt);
    const radiusFt = boreAtFt(path, atFt) / 2;
    const heightFt = view.depthIn(atFt) / 12 - radiusFt;
    if (heightFt <= -radiusFt + 0.004 || heightFt >= radiusFt) return null;
    const hours = (Math.acos(heightFt / radiusFt) * 6) / Math.PI;
    const at = (clock: number) => project(context, path, view, aheadFt, clock, radiusFt);
    return [at(12 - hours), at(hours)];
  };
  const [far, near] = [edge(farFt), edge(nearFt)];
  if (!far || !near) return;
  context.fillStyle = view.isMurky ? 'rgb(92 74 42 / 90%)' : 'rgb(52 84 92 / 85%)';
  context.strokeStyle = 'rgb(200 220 226 / 60%)';
  context.beginPath();
  context.moveTo(far[0].x, far[0].y);
  context.lineTo(far[1].x, far[1].y);
  context.lineTo(near[1].x, near[1].y);
  context.lineTo(near[0].x, near[0].y);
  context.closePath();
  context.fill();
  context.stroke();
}

/** A mark for what the wall alone does not show: strands, cracks, a pipe across. */
function drawMark(
  context: CanvasRenderingContext2D,
  path: RigPath,
  view: PictureView,
  thing: PathThing,
): void {
  if (thing.kind !== 'defect') return;
  const aheadFt = thing.fromFt - view.headFt;
  const radiusFt = boreAtFt(path, thing.fromFt) / 2;
  const { clockFrom = 12, clockTo = clockFrom, extentRatio = 0.1 } = thing.what;
  const at = (clock: number, share: number) =>
    project(context, path, view, aheadFt, clock, radiusFt * share);
  const stroke = (from: Spot, to: Spot) => {
    context.beginPath();
    context.moveTo(from.x, from.y);
    context.lineTo(to.x, to.y);
    context.stroke();
  };
  const random = seededRandom(seedOf(thing.lineId, thing.stationFt));
  const span =
    thing.what.clockFrom === undefined ? 12 : (((clockTo - clockFrom) % 12) + 12) % 12 || 1;
  const mark = markOf(thing.what.defect);
  switch (mark) {
    case 'roots':
      context.strokeStyle = '#b08a4c';
      context.lineWidth = 1.5;
      for (let strand = 0; strand < 20 + 300 * extentRatio; strand += 1) {
        const clock = clockFrom + span * random.next();
        stroke(
          at(clock, 1),
          at(
            clock + random.normal() * 0.7,
            1 - (0.3 + 1.1 * Math.sqrt(extentRatio)) * random.next(),
          ),
        );
      }
      break;
    case 'crack':
      context.strokeStyle = '#0a0705';
      context.lineWidth = formOf(thing.what) === 'hairline' ? 1.5 : 4;
      if (thing.what.direction === 'round') {
        for (let part = 0; part < 12; part += 1)
          stroke(
            at(clockFrom + (span * part) / 12, 0.99),
            at(clockFrom + (span * (part + 1)) / 12, 0.99),
          );
      } else {
        for (let part = 0; part < (formOf(thing.what) === 'several' ? 4 : 1); part += 1) {
          const clock = clockFrom + part;
          stroke(
            at(clock, 0.99),
            project(context, path, view, aheadFt * 0.55, clock + 0.2 * random.normal(), radiusFt),
          );
        }
      }
      break;
    case 'utility':
      context.strokeStyle = '#e8b414';
      context.lineWidth =
        (0.5 * radiusFt * context.canvas.height) / 2 / FIELD / Math.max(0.1, aheadFt);
      stroke(at(9, 1), at(3, 1));
      break;
    case 'foreign-object':
    case 'vermin':
    case 'unidentified':
    case 'intruding-tap': {
      const spot = mark === 'intruding-tap' ? at(clockFrom, 0.7) : at(6.3, 0.72);
      const colours = {
        'foreign-object': '#c92a20',
        vermin: '#6b5f4e',
        unidentified: '#15161a',
        'intruding-tap': '#a0583c',
      };
      context.fillStyle = colours[mark];
      context.beginPath();
      context.arc(
        spot.x,
        spot.y,
        (0.32 * radiusFt * context.canvas.height) / 2 / FIELD / Math.max(0.1, aheadFt),
        0,
        2 * Math.PI,
      );
      context.fill();
      break;
    }
    default:
      break;
  }
}

/** Being under water, and dirt on the glass. */
function dim(context: CanvasRenderingContext2D, view: PictureView): void {
  const { width, height } = context.canvas;
  const cover = (colour: string) => {
    context.fillStyle = colour;
    context.fillRect(0, 0, width, height);
  };
  if (view.isUnder) cover(view.isMurky ? 'rgb(92 70 40 / 92%)' : 'rgb(20 70 66 / 62%)');
  if (view.lens.fouledRatio > 0.03)
    cover(`rgb(96 80 54 / ${Math.round(90 * view.lens.fouledRatio)}%)`);
}
