import { MATERIALS } from '@/core/chemistry';
import { analysisText, readAnalysis } from './analysisText';

test('every built-in analysis is read back from its own text', () => {
  for (const { name, analysis } of MATERIALS) {
    const { analysis: again, errors } = readAnalysis(analysisText(analysis));
    expect([name, errors]).toEqual([name, []]);
    expect(Object.keys(again)).toEqual(Object.keys(analysis));
  }
});

test('capitals, commas and colons are taken as they are typed; what is wrong is named', () => {
  expect(readAnalysis('sio2 66,5\nAL2O3: 18 %; k2o=11').analysis).toEqual({ SiO2: 66.5, Al2O3: 18, K2O: 11 });
  expect(readAnalysis('SiO2 60\nSiO2 5\nXyO 3\n12\nCaO\nMgO -2').errors).toEqual([
    'SiO2 is here twice.',
    'XyO is not a known oxide.',
    expect.stringMatching(/^12: write an oxide/),
    'CaO: how much?',
    'MgO: Cannot be negative.',
  ]);
});
