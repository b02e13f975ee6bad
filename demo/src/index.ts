export { DEMO_OPENS_AT, makeDemoBook } from './demoBook'
export { DEMO_BOOK } from './pen'
