/** The units there are to choose from, by what they measure. */
export const UNIT_ROWS = [
  {
    name: 'temperature',
    label: 'Temperature',
    options: [
      ['°C', '°C'],
      ['°F', '°F'],
    ],
  },
  {
    name: 'length',
    label: 'Length',
    options: [
      ['cm', 'cm and mm'],
      ['in', 'inches'],
    ],
  },
  {
    name: 'mass',
    label: 'Weight',
    options: [
      ['g', 'grams'],
      ['lb', 'pounds'],
    ],
  },
  {
    name: 'volume',
    label: 'Volume',
    options: [
      ['l', 'litres'],
      ['gal', 'US gallons'],
      ['imp gal', 'British gallons'],
    ],
  },
] as const;
