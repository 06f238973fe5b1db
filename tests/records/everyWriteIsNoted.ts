import { takeForgotten } from './watchWrites';

// After every file of records tests: no transaction of a records function may have forgotten its row in `change`.
afterAll(() => expect(takeForgotten()).toEqual([]));
