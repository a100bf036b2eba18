/** Words of several forms, in English. */
export const commonLabels = {
  facts: { travel: 'On the way to the next station', betweenLaps: 'Measured between laps', unit: 'Unit' },
  choices: {
    betweenLaps: { none: 'Nothing', pulse: 'Pulse by fingers', hold: 'A hold' },
    unit: { reps: 'reps', seconds: 'seconds' },
  },
}
