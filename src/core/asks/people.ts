/** What is asked for where it is about the people behind a car: its customer, and who confirms what was done; and about the shop's machine. */
export type PeopleAsk =
  | 'said-how'
  | 'erase-name'
  | 'erase-expected'
  | 'put-away-expected'
  | 'retention-months'
  | 'to-confirm'
  | 'confirmed-already'
  | 'second-person'
  | 'only-themselves'
  | 'links-most'
  | 'disk-full'
