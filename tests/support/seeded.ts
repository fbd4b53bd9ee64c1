import fc from 'fast-check'

// A run of the tests judges what was changed: it draws the same cases each time. `npm run attack -- properties` looks for new ones.
fc.configureGlobal({ seed: Number(process.env.JOLLY_SEED ?? 1) })
