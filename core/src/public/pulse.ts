// A lane's predicted pulse. Named exports only; what is in no list is nobody else's business.
export {
  pulseBand,
  pulseCurve,
  pulseZones,
  restingPulse,
  topPulse,
  type PulseCurve,
  type PulseZone,
} from '../pulse/pulseCurve.ts'
