import type { WeaknessPage } from '@skelby/core/pages/pages';
import { id, rep, type Visitor, withWeakness } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/** A school chooses how it clears, and what it chose is what its new weaknesses are opened under. */

const school = ownSchool();

const STRICT = {
  test: 'strict',
  unacceptableMissPercent: 40,
  acceptableMissPercent: 10,
  riskPercent: 10,
  plannedReps: 30,
  passDays: 2,
  checkGapDays: 7,
  testsADay: 4,
  sidesAlike: false,
  mostDaysBetweenChecks: 90,
  reason: 'Our pilots have good and bad days.',
};

test('the strict test goes into force, and a new weakness is opened under it', async () => {
  expect((await school.here.trainer.put(`/school/rules/${id()}`, STRICT)).status).toBeLessThan(300);
  const { weaknessId } = await withWeakness(school.here.trainer);
  const { body } = await school.here.trainer.get<{ rule: { test: string } }>(`/weaknesses/${weaknessId}`);
  expect(body.rule.test).toBe('strict');
});

test('with other miss rates it is refused by the field that has to change', async () => {
  for (const [field, value] of [
    ['unacceptableMissPercent', 30],
    ['acceptableMissPercent', 5],
  ] as const) {
    const { status, body } = await school.here.trainer.put<{ errors: { field: string; message: string }[] }>(
      `/school/rules/${id()}`,
      { ...STRICT, [field]: value },
    );
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      { field, message: expect.stringContaining('40 % not yet competent, 10 % competent') as string },
    ]);
  }
});

test('a rep keeps its distance from the pilot; one of nothing is refused', async () => {
  const { weaknessId } = await withWeakness(school.here.trainer);
  const repId = id();
  expect(
    (await school.here.trainer.put(`/reps/${repId}`, rep(weaknessId, { distanceM: 12 }))).status,
  ).toBeLessThan(300);
  const { body } = await school.here.trainer.get<{ reps: { id: string; distanceM: number | null }[] }>(
    `/weaknesses/${weaknessId}`,
  );
  expect(body.reps.find((each) => each.id === repId)?.distanceM).toBe(12);
  const { status } = await school.here.trainer.put(`/reps/${id()}`, rep(weaknessId, { distanceM: 0 }));
  expect(status).toBe(422);
});

test('where the rule asks for a second signer, whoever counted the tests signs neither early nor late; another one does', async () => {
  const { trainer, schoolId, server } = school.here;
  const today = new Date().toISOString().slice(0, 10);
  const rule = { ...STRICT, test: 'evidence', secondSigner: true };
  expect((await trainer.put(`/school/rules/${id()}`, rule)).status).toBeLessThan(300);
  const { weaknessId } = await withWeakness(trainer);
  const sign = (who: Visitor) =>
    who.put(`/weaknesses/${weaknessId}/moves/${id()}`, {
      kind: 'signed-early',
      undoes: null,
      at: new Date().toISOString(),
      day: today,
      reason: 'Flown for the unit for years.',
    });
  const undo = async () => {
    const { body } = await trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`);
    const undoes = body.moves.at(-1)!.id;
    const at = new Date().toISOString();
    return trainer.put(`/weaknesses/${weaknessId}/moves/${id()}`, {
      kind: 'undone',
      undoes,
      at,
      day: today,
      reason: 'To try again.',
    });
  };
  // Practice is not a test: who only taught may sign.
  await trainer.put(`/reps/${id()}`, rep(weaknessId, { purpose: 'practice' }));
  expect((await sign(trainer)).status).toBeLessThan(300);
  expect((await undo()).status).toBeLessThan(300);

  const setId = id();
  await trainer.put(`/weaknesses/${weaknessId}/test-sets/${setId}`, {
    drillId: 'tail-in-hover',
    side: null,
    number: 1,
    at: new Date().toISOString(),
    day: new Date().toISOString().slice(0, 10),
  });
  const test = await trainer.put(`/reps/${id()}`, rep(weaknessId, { purpose: 'test', testSetId: setId }));
  expect([test.status, test.body]).toMatchObject([200, {}]);
  const refused = await sign(trainer);
  expect([refused.status, refused.body['detail']]).toEqual([409, expect.stringContaining('second person')]);
  expect((await sign(await server.colleague(schoolId))).status).toBeLessThan(300);
});
