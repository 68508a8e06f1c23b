// Source: common contraindications in voice teaching; a tick is a teacher's note that something applies, never a diagnosis.

/** What can stand on file and leaves exercises out. */
export const CAUTIONS = [
  'asthma',
  'panic',
  'epilepsy',
  'pregnancy',
  'belly',
  'jaw',
  'eyes-or-ears',
  'neck-and-shoulder',
] as const;

export type Caution = (typeof CAUTIONS)[number];
