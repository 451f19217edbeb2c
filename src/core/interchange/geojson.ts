import { roundTo } from '../base/numbers';
import type { Assessment } from '../judge/assessment';

/** Writes the located points that have a position as GeoJSON (RFC 7946): longitude first, WGS 84. */
export function writeGeoJson(assessment: Assessment): string {
  const features = [assessment.lateral, ...assessment.branches].flatMap(
    ({ lineId, axes, unplaced }) =>
      [...axes, ...unplaced].flatMap((axis) =>
        axis.log.of('locate').flatMap((entry) => {
          if (!entry.position) return [];
          const { latDeg, lonDeg } = entry.position;
          const place =
            entry.readingFt === null || !axis.placed
              ? null
              : axis.placeOf(entry.pass, entry.readingFt);
          return [
            {
              type: 'Feature',
              id: entry.id,
              geometry: { type: 'Point', coordinates: [lonDeg, latDeg] },
              properties: {
                runId: axis.run.id,
                lineId,
                at: entry.at,
                readingFt: entry.readingFt,
                stationFt: place && roundTo(place.stationFt, 2),
                sigmaFt: place && roundTo(place.sigmaFt, 2),
                depthIn: entry.depthIn ?? null,
                mark: entry.mark ?? null,
                reference: entry.reference ?? null,
              },
            },
          ];
        }),
      ),
  );
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 2)}\n`;
}
