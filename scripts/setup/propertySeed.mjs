import fc from 'fast-check'

/** Property tests draw the same cases on every run, so that a build that passed passes again; PROPERTY_SEED=… draws others. */
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 2026) })
