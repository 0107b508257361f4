// TypeScript for jest. A test runs in a context of its own, where every look-up of a global is answered
// by an interceptor, many times slower than a variable: loops over pixels that say `Math.min` crawl.
// So each module begins by taking `Math` into a constant of its own, on its first line.
import swcJest from '@swc/jest';

const options = {
  jsc: {
    parser: { syntax: 'typescript', tsx: true },
    transform: { react: { runtime: 'automatic' } },
    target: 'es2022',
  },
  module: { type: 'es6' },
};
const PREFIX = 'const { Math } = globalThis;';

const transformer = {
  createTransformer() {
    const swc = swcJest.createTransformer(options);
    return {
      ...swc,
      canInstrument: false,
      process(source, file, jest) {
        const made = swc.process(source, file, jest);
        return { ...made, code: PREFIX + made.code };
      },
      processAsync: undefined,
      getCacheKey(source, file, jest) {
        return swc.getCacheKey(source, file, jest) + PREFIX.length;
      },
    };
  },
};
export default transformer;
