import fc from 'fast-check'

/**
 * Property tests use the same cases every time, so that runs can be compared; `SEED=7 npm test` uses others, and any failure there gets a
 * test of its own.
 */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20_261_125) })
