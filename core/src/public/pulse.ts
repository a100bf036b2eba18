// A lane's predicted pulse. Named exports only: anything not listed is internal.
export {
  pulseBand,
  pulseCurve,
  pulseZones,
  restingPulse,
  topPulse,
  type PulseCurve,
  type PulseZone,
} from '../pulse/pulseCurve.ts'
