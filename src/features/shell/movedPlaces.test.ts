import { movedTo } from './movedPlaces';

it.each([
  ['/bench', '/recipes'],
  ['/bench/edit/silk-glaze', '/recipes/edit/silk-glaze'],
  ['/strand/reading/r1', '/hair/check/r1'],
  ['/strand/readings', '/hair/readings'],
  ['/heads/keeping', '/people/backup'],
  ['/benches', null],
  ['/nowhere', null],
])('%s is now %s', (was, is) => {
  expect(movedTo(was)).toBe(is);
});
