/**
 * How the kernels' sources (assembly/kernel.ts of their rooms) are compiled; `npm run kernel` and the tests that hold
 * source and bytes equal both take it from here.
 */
export const KERNEL_OPTIONS = {
  optimizeLevel: 3,
  shrinkLevel: 0,
  converge: true,
  noAssert: true,
  runtime: 'stub',
  enable: ['simd'],
}
