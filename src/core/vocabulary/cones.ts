/** Names of the large witness cones in rising order, from 022 to 14. Halves exist only for 05½ and 5½. */
export const CONES = [
  ...['022', '021', '020', '019', '018', '017', '016', '015', '014', '013', '012', '011', '010'],
  ...['09', '08', '07', '06', '05½', '05', '04', '03', '02', '01'],
  ...['1', '2', '3', '4', '5', '5½', '6', '7', '8', '9', '10', '11', '12', '13', '14'],
] as const;
export type Cone = (typeof CONES)[number];
