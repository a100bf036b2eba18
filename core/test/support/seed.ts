import fc from 'fast-check'

/**
 * Property tests take the same cases every time, so that a run can be compared with the one before; `SEED=7 npm test` takes
 * others, and whatever fails there gets a test of its own.
 */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20_261_125) })
