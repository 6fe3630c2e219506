/** Net masses of 24 sacks in kg, as weighed; the eighteenth is odd. */
export const SACK_MASSES = [
  15.06, 15.03, 15.02, 14.92, 14.87, 14.95, 14.97, 14.99, 14.9, 14.87, 14.92, 14.95, 14.99, 14.9, 15.02,
  15.04, 14.92, 14.52, 14.93, 14.92, 14.94, 14.96, 14.92, 14.79,
]

/** Room temperatures in °C that sixteen thermostats held, all set to 21 °C. */
export const ROOM_TEMPERATURES = [
  21.2, 20.7, 21.4, 20.9, 21.1, 21.6, 20.6, 21, 21.3, 20.8, 21.5, 20.5, 21.1, 21.2, 20.9, 21.3,
]

/** Net masses of sacks in kg from two bagging lines, fifteen of each, in the order in which they were filled. */
export const BAGGING_LINES = {
  1: [15.02, 14.97, 15.08, 14.93, 15.05, 15.11, 14.89, 15.01, 14.98, 15.07, 14.95, 15.03, 14.91, 15.06, 15],
  2: [15.01, 14.94, 15.05, 14.99, 15.1, 14.96, 15.03, 14.92, 15.02, 15.07, 14.98, 15, 14.95, 15.04, 14.97],
} as const

/** Burning times in hours of twenty fillings of a stove. */
export const BURNING_TIMES = [
  6.2, 5.9, 6.4, 6.1, 5.7, 6.3, 6, 6.6, 5.8, 6.2, 6.1, 5.9, 6.5, 5.6, 6.3, 6.1, 5.8, 6.2, 6, 6.4,
]

/** Noise of a stove's fan in dB, of nine rooms. */
export const FAN_NOISE = [41.2, 40.8, 41.6, 41.1, 41.9, 40.7, 41.4, 41.3, 41]

/** What twelve flats burnt in kWh, in a month without a fan on the stove and in one with it. */
export const HEATED_FLATS = [
  [812, 701],
  [640, 560],
  [955, 806],
  [728, 633],
  [580, 512],
  [1010, 871],
  [690, 598],
  [845, 741],
  [760, 668],
  [905, 770],
  [615, 541],
  [870, 752],
] as const

/** Flue temperatures in °C of twelve stoves. */
export const FLUE_TEMPERATURES = [158, 163, 161, 155, 166, 159, 164, 157, 162, 165, 160, 163]

/** Carbon monoxide in ppm of fifteen rooms, as a monitor wrote it that shows nothing below 0.5. */
export const CARBON_MONOXIDE = [
  '<0.5',
  '1.2',
  '0.8',
  '2.1',
  '<0.5',
  '1.6',
  '3.4',
  '0.9',
  '<0.5',
  '2.7',
  '1.1',
  '0.7',
  '1.9',
  '<0.5',
  '4.2',
]
