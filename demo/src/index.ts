export { DEMO_BOOK, DEMO_OPENS_AT, makeDemoBook } from './demoBook'
