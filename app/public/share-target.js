/* Files that another program shares with the installed app wait in a cache of their own until the page that reads
   flights takes them: they go to no server. W3C, Web Share Target API. */
const SHARED = 'skelby-shared';
const MOST = 100;

async function taken(request) {
  const given = (await request.formData()).getAll('files');
  const files = given.filter((each) => each instanceof File).slice(0, MOST);
  await caches.delete(SHARED);
  const cache = await caches.open(SHARED);
  await Promise.all(
    files.map((file, nth) =>
      cache.put(
        `/share/${String(nth).padStart(3, '0')}/${encodeURIComponent(file.name)}`,
        new Response(file, { headers: { 'Content-Type': file.type || 'application/octet-stream' } }),
      ),
    ),
  );
  return Response.redirect(files.length > 1 ? '/flights/day?shared=1' : '/flights/file?shared=1', 303);
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method === 'POST' && new URL(request.url).pathname === '/share')
    event.respondWith(taken(request));
});
