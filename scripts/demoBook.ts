import { DEMO_OPENS_AT, makeDemoBook } from '@ellop/demo'

/** Prints the demonstration book as one line of data: the build ships it, so that no browser writes it entry by entry. */
process.stdout.write(JSON.stringify({ opensAt: DEMO_OPENS_AT, entries: makeDemoBook() }))
