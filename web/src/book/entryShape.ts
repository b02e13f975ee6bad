/** What holds an entry against its shape; with the validator behind it the heaviest part of a book, and not needed to draw the first screen. */
export { readEntry } from '@ellop/core'
