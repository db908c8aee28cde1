import { rmSync } from 'node:fs';
import { startTestServer, type TestServer } from '../server/src/testing/test-school';
import { startCluster } from '../tools/cluster';
import { throwawayFolder } from '../tools/places';

/** Measures on a server and a database of its own, in this process. */
export async function withServer<T>(measure: (server: TestServer) => Promise<T>): Promise<T> {
  const folder = throwawayFolder();
  const cluster = await startCluster(folder);
  try {
    process.env['TEST_CLUSTER_URL'] = cluster.url('postgres');
    process.env['TEST_CLUSTER_APP_URL'] = cluster.appUrl('postgres');
    const server = await startTestServer();
    try {
      return await measure(server);
    } finally {
      await server.close();
    }
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
