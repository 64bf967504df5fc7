/**
 * How assembly/kernel.ts is compiled; `npm run kernel` and the test that holds source and bytes equal both take it from
 * here.
 */
export const KERNEL_OPTIONS = {
  optimizeLevel: 3,
  shrinkLevel: 0,
  converge: true,
  noAssert: true,
  runtime: 'stub',
  enable: ['simd'],
}
