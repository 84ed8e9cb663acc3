import type { RouteBody } from '@dunlinmoss/contract';
import type { RoutePlan } from '@dunlinmoss/core';

import { groundName } from './grounds';

/* Open formats for other programs: where the route leads, and what is set where. */

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** The track as GPX 1.1; undefined for a route that was tapped together. */
export function routeGpx({ name, track }: Pick<RouteBody, 'name' | 'track'>): string | undefined {
  if (!track) return undefined;
  const points = track.map(
    ([lon, lat, elevation]) =>
      `<trkpt lat="${lat}" lon="${lon}">${elevation === null ? '' : `<ele>${elevation.toFixed(1)}</ele>`}</trkpt>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Dunlinmoss" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>${escaped(name)}</name><trkseg>
${points.join('\n')}
</trkseg></trk></gpx>
`;
}

/** The route as GeoJSON: the track where there is one, its stretches and what is set on each as its properties. */
export const routeGeoJson = (
  { name, track, stretches }: Pick<RouteBody, 'name' | 'track' | 'stretches'>,
  plan: RoutePlan | undefined,
): string =>
  JSON.stringify(
    {
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          geometry: track && {
            type: 'LineString',
            coordinates: track.map(([lon, lat, elevation]) =>
              elevation === null ? [lon, lat] : [lon, lat, elevation],
            ),
          },
          properties: {
            name,
            stretches: stretches.map(({ groundCode, lengthM, climbDeg }, index) => ({
              ground: groundCode,
              name: groundName(groundCode),
              lengthM,
              climbDeg,
              ...(plan && {
                setting: plan.legs[index]!.setting,
                stopBefore: plan.legs[index]!.stopMin !== null,
              }),
            })),
          },
        },
      ],
    },
    null,
    1,
  );
