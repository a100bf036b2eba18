/** Kilograms in an avoirdupois pound, exactly (international yard and pound agreement, 1959). */
export const kgPerPound = 0.45359237
/** Liters in a US liquid gallon, exactly: 231 cubic inches of 25.4 mm. */
const litresPerGallon = 3.785411784

export const weightUnits = ['kg', 'lb'] as const
export type WeightUnit = (typeof weightUnits)[number]
export const volumeUnits = ['l', 'gal'] as const
export type VolumeUnit = (typeof volumeUnits)[number]

/** @example toKg(5, 'lb') // 2.26796185 */
export const toKg = (amount: number, unit: WeightUnit): number => (unit === 'lb' ? amount * kgPerPound : amount)
/** @example fromKg(1, 'lb') // 2.2046226218487757 */
export const fromKg = (kg: number, unit: WeightUnit): number => (unit === 'lb' ? kg / kgPerPound : kg)
/** @example toLitres(1, 'gal') // 3.785411784 */
export const toLitres = (amount: number, unit: VolumeUnit): number =>
  unit === 'gal' ? amount * litresPerGallon : amount
