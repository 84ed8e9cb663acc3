import path from 'node:path';

describe('the beginning', () => {
  it('tells the scheduler that React draws by how long it may draw, and no other copy of it', () => {
    const drawnBy = path.dirname(require.resolve('react-dom/package.json'));
    expect(require.resolve('scheduler', { paths: [drawnBy] })).toBe(require.resolve('scheduler'));
  });
});
