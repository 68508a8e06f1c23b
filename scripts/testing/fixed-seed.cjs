const fc = require('fast-check');

/** The same cases in every run, so that no change is held for another’s luck; `npm run long` gives other seeds. */
const USUAL_SEED = 20261125;
fc.configureGlobal({ seed: Number(process.env.SEED ?? USUAL_SEED) });
