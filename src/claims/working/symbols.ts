import { symbol } from '../terms/formula'

export const X_BAR = symbol('x̄', '\\bar{x}')
export const CLAIMED_MEAN = symbol('μ₀', '\\mu_0')
export const CLAIMED_SPREAD = symbol('σ₀', '\\sigma_0')
export const CLAIMED_VARIANCE = symbol('σ₀²', '\\sigma_0^2')
export const CLAIMED_SHARE = symbol('p₀', 'p_0')
export const SIGMA = symbol('σ', '\\sigma')
export const N = symbol('n')
export const S = symbol('s')
export const STANDARD_ERROR = symbol('SE', '\\mathrm{SE}')
