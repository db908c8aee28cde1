import type Router from '@koa/router';
import type { Lanes } from '../db/lanes';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { setAccount } from './accounts';
import { endApiToken, makeApiToken } from './api-tokens';
import { endInvitation, invite, invited, invitePilot, join, peoplePage } from './invitations';
import {
  beginSecondFactor,
  ownSecondFactor,
  switchSecondFactorOff,
  switchSecondFactorOn,
} from './own-second-factor';
import { changePassword, endSessions, ownSessions } from './own-account';
import { endCalendar, makeCalendar, ownCalendar, readCalendar } from './own-calendar';
import { goToSchool, ownSchools } from './own-schools';
import { leave, openSandbox } from './sandbox';

/**
 * The people of a school, and one's own account.
 * @param work where what takes long is done
 */
export function peopleRoutes(
  router: Router,
  { asked: db, ahead: work }: Lanes,
  inSchool: InTheirSchool,
): void {
  router.get('/people', inSchool('people', peoplePage));
  router.post(
    '/people/invitations',
    inSchool('people', (school, ctx) => invite(school, bodyOf(ctx))),
  );
  router.post(
    '/pilots/:id/account',
    inSchool('keep-records', (school, ctx) => invitePilot(school, keyIn(ctx, 'id', 'pilot'))),
  );
  router.put(
    '/people/invitations/:id/ended',
    inSchool('people', (school, ctx) => endInvitation(school, keyIn(ctx, 'id', 'invitation'))),
  );
  router.put(
    '/people/:id',
    inSchool('people', (school, ctx) => setAccount(school, keyIn(ctx, 'id', 'account'), bodyOf(ctx))),
  );
  router.post(
    '/people/tokens',
    inSchool('people', (school, ctx) => makeApiToken(school, bodyOf(ctx))),
  );
  router.put(
    '/people/tokens/:id/ended',
    inSchool('people', (school, ctx) => endApiToken(school, keyIn(ctx, 'id', 'token'))),
  );
  router.get('/me/sessions', inSchool('own', ownSessions));
  router.post('/me/sessions/ended', inSchool('own', endSessions));
  router.get('/me/calendar', inSchool('own', ownCalendar));
  router.post('/me/calendar', inSchool('own', makeCalendar));
  router.post('/me/calendar/ended', inSchool('own', endCalendar));
  // By the token alone: a calendar program signs in nowhere.
  router.get('/calendar/:token.ics', readCalendar(db));
  router.get('/me/schools', ownSchools(db));
  router.post('/me/school', goToSchool(db));
  router.post('/me/sandbox', openSandbox(db, work));
  router.post('/me/sandbox/left', leave(db));
  router.post('/me/password', changePassword(db));
  router.get('/me/second-factor', ownSecondFactor(db));
  router.post('/me/second-factor', beginSecondFactor(db));
  router.post('/me/second-factor/on', switchSecondFactorOn(db));
  router.post('/me/second-factor/off', switchSecondFactorOff(db));
  // By the link alone: nobody is signed in yet.
  router.get('/invitation', invited(db));
  router.post('/invitation', join(db));
}
