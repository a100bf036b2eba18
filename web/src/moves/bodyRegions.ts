/** An ellipse of the drawn body: middle, half width, half height, in the units of its picture of 120 × 222. */
export type Region = readonly [x: number, y: number, rx: number, ry: number]

const both = (x: number, y: number, rx: number, ry: number): Region[] => [
  [60 - x, y, rx, ry],
  [60 + x, y, rx, ry],
]

/** Where each muscle lies on the body seen from the front and from the back, by id. Ours. */
export const bodyRegions: Readonly<Record<'front' | 'back', Readonly<Record<string, readonly Region[]>>>> = {
  front: {
    shoulders: both(27, 54, 8, 8),
    chest: both(11.5, 62, 10.5, 8),
    biceps: both(34, 78, 5.5, 12),
    abs: [[60, 88, 8.5, 16]],
    obliques: both(14, 90, 4.5, 13),
    'hip-flexors': both(10, 112, 7, 5),
    adductors: both(4.5, 136, 3.6, 13),
    quadriceps: both(14, 144, 7.5, 20),
    forearms: both(38, 106, 4.5, 12),
    shin: both(13, 188, 4.5, 15),
  },
  back: {
    'upper-back': both(10.5, 61, 9.5, 11),
    triceps: both(34, 79, 5.5, 13),
    lats: both(15, 80, 4.5, 12),
    back: both(4.5, 93, 3.8, 17),
    abductors: both(20.5, 110, 3.5, 7),
    glutes: both(9.5, 119, 9, 8.5),
    hamstrings: both(12, 150, 8, 17),
    calves: both(13, 187, 6.5, 14),
  },
}
