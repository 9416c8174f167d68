"""Dissolved CO2 (mg/L) per line of "pH alkalinity_mg_l temp_c", for the cross-check of the core.

Another road than the core takes: the equilibrium constants are read off the table of Harned and Davis
(1943), Harned and Scholes (1941) and Harned and Owen (1958), and all species are solved at once by
scipy from mass action and charge balance, ionic strength found from the species themselves.
"""
import sys

import numpy as np
from scipy.interpolate import CubicSpline
from scipy.optimize import fsolve

T = np.array([0, 5, 10, 15, 20, 25, 30, 35, 40], float)
PK1 = CubicSpline(T, [6.579, 6.517, 6.464, 6.419, 6.381, 6.352, 6.327, 6.309, 6.298])
PK2 = CubicSpline(T, [10.625, 10.557, 10.490, 10.430, 10.377, 10.329, 10.290, 10.250, 10.220])
PKW = CubicSpline(T, [14.943, 14.734, 14.535, 14.346, 14.167, 13.997, 13.833, 13.680, 13.535])

for line in sys.stdin:
    ph, alk, t = map(float, line.split())
    eq = alk / 50043.5
    h = 10.0 ** -ph
    # A calcium salt and a sodium salt in equal parts carry the alkalinity.
    ca, na = eq / 4, eq / 2

    def residual(x):
        co2, hco3, co3, oh = np.exp(x)
        strength = 0.5 * (4 * ca + na + hco3 + 4 * co3 + oh)
        g1 = 10 ** (-0.509 * (np.sqrt(strength) / (1 + np.sqrt(strength)) - 0.3 * strength))
        return [
            np.log(h * hco3 * g1 / co2) + PK1(t) * np.log(10),
            np.log(h * co3 * g1**4 / (hco3 * g1)) + PK2(t) * np.log(10),
            np.log(h * oh * g1) + PKW(t) * np.log(10),
            (hco3 + 2 * co3 + oh - h / g1 - eq) / eq,
        ]

    x = fsolve(residual, np.log([h * eq / 4e-7, eq, eq * 5e-11 / h, 1e-14 / h]), xtol=1e-12)
    print(44009.5 * float(np.exp(x[0])))
