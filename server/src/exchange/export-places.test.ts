import { ownSchool } from '../testing/own-school';
import { id, occurrence, PILOT, SITE } from '../testing/test-school';

/** What happened where, for any map: places and causes, and nobody's name. */

const school = ownSchool('Map School');
const NAME = 'Oddny Varrick';

interface PointFeature {
  readonly type: string;
  readonly geometry: { readonly type: string; readonly coordinates: readonly number[] };
  readonly properties: object;
}

/** A file as RFC 7946 has it: a collection of features, each a point with its properties. */
function readAsFeatures(file: string) {
  const read = JSON.parse(file) as { type: string; features: readonly PointFeature[] };
  expect(Object.keys(read)).toEqual(['type', 'features']);
  expect(read.type).toBe('FeatureCollection');
  return read.features.map(({ type, geometry, properties }) => {
    expect([type, geometry.type]).toEqual(['Feature', 'Point']);
    return { coordinates: geometry.coordinates, properties };
  });
}

test('occurrences and hazards stand at their sites, east before north, and name nobody; without a place they are left out', async () => {
  const { trainer } = school.here;
  const [pilotId, mapped, unmapped] = [id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: NAME });
  const place = { latitudeDeg: 47.2104, longitudeDeg: 11.0283 };
  await trainer.put(`/sites/${mapped}`, { ...SITE, name: 'Moor', ...place, hazard: 'Wire by the hut' });
  await trainer.put(`/sites/${unmapped}`, { ...SITE, name: 'Nowhere' });
  const [kept, gone, elsewhere] = [id(), id(), id()];
  for (const [key, siteId] of [
    [kept, mapped],
    [gone, mapped],
    [elsewhere, unmapped],
  ] as const)
    await trainer.put(`/occurrences/${key}`, occurrence(pilotId, { siteId, note: `${NAME} looked away` }));
  await trainer.put(`/occurrences/${gone}/withdrawn`, { reason: 'Logged twice' });

  const file = await trainer.raw('/api/occurrences.geojson');
  expect(file).not.toContain(NAME);
  expect(file).not.toContain('looked away');
  expect(file).not.toContain(pilotId);
  expect(readAsFeatures(file)).toEqual([
    {
      coordinates: [11.0283, 47.2104],
      properties: { what: 'hazard', id: mapped, site: 'Moor', hazard: 'Wire by the hut' },
    },
    {
      coordinates: [11.0283, 47.2104],
      properties: {
        ...{ what: 'occurrence', id: kept, kind: 'crash', cause: 'overcontrol', isConfirmed: false },
        ...{ day: '2026-03-02', windMps: null, site: 'Moor' },
      },
    },
  ]);
});

test('a school without either has an empty collection, and another school’s is not in it', async () => {
  const other = await school.here.server.school('Empty Map School');
  expect(readAsFeatures(await other.trainer.raw('/api/occurrences.geojson'))).toEqual([]);
});
