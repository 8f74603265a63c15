/** What stands open over a page about a client: the chooser of clients, and the list of what was done. */
export const useClientDesk = () => ({
  isChoosing: useState('client-choosing', () => false),
  isListing: useState('client-listing', () => false),
})
