import fc from 'fast-check';

// The same commit is tested with the same random cases everywhere; PROPERTY_SEED=random looks for new ones.
const { PROPERTY_SEED = '20261130' } = process.env;
if (PROPERTY_SEED !== 'random') fc.configureGlobal({ seed: Number(PROPERTY_SEED) });
