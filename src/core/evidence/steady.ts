/**
 * Numbers in [0, 1) that are the same at every run, for tests that try other orders: chance must not decide what is said
 * of a studio. A multiplicative congruential generator of Lehmer's with the multiplier of Park and Miller (1993).
 */
export function steadyChance(): () => number {
  let state = 20_011;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}
