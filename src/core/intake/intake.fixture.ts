import { emptyIntake, type Intake } from './intake'

/** A small car as it is typed at intake, for tests that need any. */
export const nimble: Intake = {
  ...emptyIntake('2027-01-13'),
  customerName: 'Ita Corrigan',
  plate: 'im 1',
  make: 'Corvane',
  model: 'Nimble',
  year: '2019',
  colour: 'Oyster white',
  wishes: 'Shiny',
  budget: '599,50',
}
