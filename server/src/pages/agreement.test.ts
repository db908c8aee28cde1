import { TRAINING_CASES } from '@skelby/core/agreement/training-cases';
import type { AgreementPage } from '@skelby/core/pages/agreement';
import { ownSchool } from '../testing/own-school';
import { typeProblems } from '../testing/typed';
import type { Visitor } from '../testing/test-school';

/** Trainers judge the same cases, each blind to the others; figures by name are the lead's alone. */

const at = ownSchool('Agreeing School');
const look = async (who: Visitor) => (await who.get<AgreementPage>('/agreement')).body;
const judge = (who: Visitor, caseId: string, causeId: string) => who.put(`/agreement/${caseId}`, { causeId });
const [first, second] = TRAINING_CASES as unknown as [(typeof TRAINING_CASES)[0], (typeof TRAINING_CASES)[0]];

test('nothing of others is told of a case before one has judged it, and names only to a lead', async () => {
  const { server, schoolId, trainer: lead } = at.here;
  const [one, two] = [await server.colleague(schoolId), await server.colleague(schoolId)];
  await server.db('accounts').where({ schoolId }).whereNot({ name: 'Trainer 1' }).update({ role: 'trainer' });
  for (const who of [one, two]) expect((await judge(who, first.id, 'overcontrol')).status).toBe(200);
  await judge(two, second.id, 'distraction');
  expect(await look(lead)).toEqual({ own: [], others: {}, trainers: [] });
  await judge(lead, first.id, first.causeId);
  expect(await look(lead)).toEqual({
    own: [{ caseId: first.id, causeId: first.causeId }],
    others: { [first.id]: { overcontrol: 2 } },
    trainers: [2, 3].map((n) => ({
      ...{ name: `Trainer ${n}`, judged: [{ caseId: first.id, causeId: 'overcontrol' }] },
    })),
  });
  expect(await look(one)).toEqual({
    own: [{ caseId: first.id, causeId: 'overcontrol' }],
    others: { [first.id]: { overcontrol: 1, [first.causeId]: 1 } },
    trainers: [],
  });
});

test('the same again is the same word, another one is refused, and so is what is no case or no cause', async () => {
  const { trainer } = await at.here.server.school('By itself');
  expect((await judge(trainer, first.id, 'overcontrol')).status).toBe(200);
  expect((await judge(trainer, first.id, 'overcontrol')).status).toBe(200);
  expect((await judge(trainer, first.id, 'distraction')).status).toBe(409);
  expect((await judge(trainer, 'constructor', 'overcontrol')).status).toBe(404);
  expect((await judge(trainer, second.id, 'bad luck')).body['errors']).toMatchObject([{ field: 'causeId' }]);
  expect((await look(trainer)).own).toHaveLength(1);
});

test('a reader judges nothing, another school sees nothing, and the page is what the app reads', async () => {
  const { server, schoolId, trainer } = at.here;
  const reader = await server.colleague(schoolId);
  const elsewhere = await server.school('Elsewhere');
  await judge(elsewhere.trainer, first.id, 'wildlife');
  expect(JSON.stringify(await look(trainer))).not.toContain('wildlife');
  await server
    .db('accounts')
    .where({ schoolId })
    .whereNotIn('name', ['Trainer 1', 'Trainer 2', 'Trainer 3'])
    .update({ role: 'reader' });
  expect((await judge(reader, first.id, 'overcontrol')).status).toBe(403);
  expect((await reader.get('/agreement')).status).toBe(403);
  expect(typeProblems([{ type: 'agreement.AgreementPage', answer: await look(trainer) }])).toEqual([]);
});
