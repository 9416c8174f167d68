"""Oxygen saturation by the Gibbs-SeaWater library, for the cross-check of the core: mg/L per line of "t S"."""
import sys

import gsw

for line in sys.stdin:
    t, s = map(float, line.split())
    absolute = gsw.SR_from_SP(s)
    density = gsw.rho_t_exact(absolute, t, 0)
    print(gsw.O2sol_SP_pt(s, t) * 0.031998 * density / 1000)
