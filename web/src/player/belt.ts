import { encodeHeartRate } from '@esfuerzo/core/run'

/** A pulse belt: sends Heart Rate Measurements as bytes until it is released. */
export interface Belt {
  connect: (onBytes: (bytes: DataView) => void) => Promise<void>
  release: () => void
}

/** The part of the browser's Bluetooth that a belt needs. */
interface Radio {
  requestDevice: (options: { filters: { services: string[] }[] }) => Promise<{
    gatt?: {
      connect: () => Promise<{
        getPrimaryService: (name: string) => Promise<{
          getCharacteristic: (
            name: string,
          ) => Promise<EventTarget & { value?: DataView; startNotifications: () => Promise<unknown> }>
        }>
      }>
      disconnect: () => void
    }
  }>
}

/** The browser's own radio, if it has one. */
export const radioOf = (navigator: Navigator): Radio | undefined => (navigator as { bluetooth?: Radio }).bluetooth

/** A real belt, by the standard heart rate service. */
export function bluetoothBelt(radio: Radio): Belt {
  let disconnect = () => {}
  return {
    async connect(onBytes) {
      const { gatt } = await radio.requestDevice({ filters: [{ services: ['heart_rate'] }] })
      const server = await gatt!.connect()
      disconnect = () => gatt!.disconnect()
      const service = await server.getPrimaryService('heart_rate')
      const measurement = await service.getCharacteristic('heart_rate_measurement')
      measurement.addEventListener('characteristicvaluechanged', () => {
        if (measurement.value) onBytes(measurement.value)
      })
      await measurement.startNotifications()
    },
    release: () => disconnect(),
  }
}

/** The simulated heart: a child's pulse that settles after work. Ours, plausible. */
const [restingRate, workRate, settles] = [92, 148, 45]

/**
 * A simulated belt: no device, the same bytes.
 *
 * @param every milliseconds between two measurements
 */
export function simulatedBelt(every = 1000, setTimer: typeof setInterval = setInterval): Belt {
  let timer: ReturnType<typeof setInterval> | undefined
  return {
    async connect(onBytes) {
      let seconds = 0
      const send = () => {
        const rate = Math.round(restingRate + (workRate - restingRate) * Math.exp(-seconds++ / settles))
        const bytes = encodeHeartRate({ rate, contact: true, intervals: [60 / rate] })
        onBytes(new DataView(bytes.buffer as ArrayBuffer))
      }
      send()
      timer = setTimer(send, every)
    },
    release: () => clearInterval(timer),
  }
}
