import next from 'eslint-config-next';

const config = [
  ...next,
  { ignores: ['.next/**', '.jiten/**', 'next-env.d.ts', 'test-results/**'] },
  {
    rules: {
      'max-lines': ['error', { max: 450 }],
      'no-console': 'off',
      eqeqeq: 'error',
      // Pictures come from our own store, already sized and cached by their hash.
      '@next/next/no-img-element': 'off',
    },
  },
];

export default config;
