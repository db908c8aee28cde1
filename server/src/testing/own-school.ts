import { startTestServer, type TestServer, type Visitor } from './test-school';

export interface OwnSchool {
  readonly server: TestServer;
  readonly schoolId: string;
  readonly email: string;
  /** Its first trainer, and so its owner, signed in. */
  readonly trainer: Visitor;
}

/** A server for the tests of one file, with a school in it: there once the first test begins. */
export function ownSchool(name = 'Carrow Fell'): { readonly here: OwnSchool } {
  let there: OwnSchool | null = null;
  beforeAll(async () => {
    const server = await startTestServer();
    there = { server, ...(await server.school(name)) };
  });
  afterAll(() => there?.server.close());
  return {
    get here() {
      if (!there) throw new Error('The school is there once the first test begins.');
      return there;
    },
  };
}
