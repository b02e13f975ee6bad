import fc from 'fast-check'

/** Chance in tests comes from one seed; a failure prints the path to its case. */
fc.configureGlobal({ seed: 20270516 })
