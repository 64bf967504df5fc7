/** Stefan–Boltzmann constant, W/(m²·K⁴): exact in the 2019 SI, rounded. */
export const STEFAN_BOLTZMANN_WM2K4 = 5.670374419e-8
/** Nought Celsius in kelvin: by definition. */
export const ZERO_C_IN_K = 273.15
/** The inch: by definition. */
export const MM_PER_INCH = 25.4
