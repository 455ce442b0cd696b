/** A normal deviate of mean 0 and standard deviation 1, for simulations of which the truth is known (Box and Muller 1958). */
export const normalDeviate = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
