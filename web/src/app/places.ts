/** The places in the order of the work: keys 1 to 7 go to them. */
export const PLACES = [
  { path: '/season', name: 'Season' },
  { path: '/outing', name: 'Outing' },
  { path: '/basket', name: 'Basket' },
  { path: '/kitchen', name: 'Kitchen' },
  { path: '/table', name: 'Table' },
  { path: '/larder', name: 'Larder' },
  { path: '/notebook', name: 'Notebook' },
] as const
