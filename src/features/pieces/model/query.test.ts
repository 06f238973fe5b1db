import { readQuery } from './query';

const ID = '01M85S6722V7DECSJ864YZP1QM';

test('the address of the list is read whole', () => {
  expect(
    readQuery({
      stage: 'glazed',
      fate: 'refire',
      body: ID,
      glaze: ID,
      for: ID,
      round: ID,
      firing: ID,
      texture: 'carved',
      from: '2026-03-01',
      to: '2026-03-31',
      sort: 'form',
      order: 'asc',
      page: '3',
    }),
  ).toEqual({
    filter: {
      ...{ stage: 'glazed', fate: 'refire', bodyId: ID, glazeId: ID, sort: 'form', order: 'asc' },
      ...{ orderId: ID, roundId: ID, firingId: ID, texture: 'carved' },
      ...{ madeFrom: '2026-03-01', madeTo: '2026-03-31' },
    },
    page: 3,
  });
});

test('what is not understood is left out, and never reaches the database', () => {
  expect(
    readQuery({
      stage: 'melted',
      fate: '',
      body: "x' or 1=1",
      sort: 'p.number; drop',
      order: 'up',
      page: '-7',
      from: '2026-13-01',
      texture: 'fur',
    }),
  ).toEqual({
    filter: { sort: 'number', order: 'desc' },
    page: 0,
  });
  expect(readQuery({})).toEqual({ filter: { sort: 'number', order: 'desc' }, page: 0 });
});
