import 'fake-indexeddb/auto';
import { shelfIn } from './shelf';

test('what is put on the shelf is there when the page is opened again', async () => {
  const shelf = shelfIn<{ n: number }>('a-shelf');
  await Promise.all([shelf.put('b', { n: 2 }), shelf.put('a', { n: 1 })]);
  await shelf.put('a', { n: 3 });
  expect(await shelfIn<{ n: number }>('a-shelf').all()).toEqual([{ n: 3 }, { n: 2 }]);
  await shelf.drop('a');
  expect(await shelf.all()).toEqual([{ n: 2 }]);
  await shelf.clear();
  expect(await shelf.all()).toEqual([]);
});
