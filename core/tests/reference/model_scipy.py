"""The water day by day by scipy's stiff solver, written apart from the core, for its cross-check.

Per line "load temp do ph xmax alk0 flow_share source_no3 source_alk days": mg N/L/d, °C, mg/L, -, mg N/L/d, mg/L,
1/d, mg/L, mg/L, d. Prints TAN, NO2-N, NO3-N, alkalinity, X1 and X2 at the end, one to a line.
"""
import sys

from scipy.integrate import solve_ivp

MU = (0.477, 0.40)


def decay(s):
    return 0.015 + 0.062 * max(0.0, 1 - s / 0.02)


def warmth(temp):
    return 1.09 ** (temp - 20) if temp <= 20 else 1.04 ** (min(temp, 32) - 20)


def by_ph(ph):
    if ph < 7.2:
        return max(0.05, 1 - 0.833 * (7.2 - ph))
    return max(0.05, 1 - 0.5 * (ph - 8.5)) if ph > 8.5 else 1.0


for line in sys.stdin:
    load, temp, do, ph, xmax, alk0, q, source_no3, source_alk, days = map(float, line.split())
    pka = 0.09018 + 2729.92 / (temp + 273.2)
    unionised = 1 / (1 + 10 ** (pka - ph))

    def rates(_, y):
        tan, no2, no3, alk, x1, x2 = y
        s1 = tan / (0.7 + tan) * do / (0.5 + do) * alk / (15 + alk) * by_ph(ph)
        s2 = no2 / (0.5 + no2) * do / (1 + do) / (1 + unionised * tan / 0.5)
        r1, r2 = (x * s * warmth(temp) for x, s in ((x1, s1), (x2, s2)))
        growth = 1.09 ** (min(temp, 32) - 25)
        grow = [(m * s * (1 - x / xmax) - decay(s)) * x * growth for m, s, x in ((MU[0], s1, x1), (MU[1], s2, x2))]
        return [load - r1 - q * tan, r1 - r2 - q * no2, r2 + q * (source_no3 - no3), 3.57 * load - 7.14 * r1 + q * (source_alk - alk), *grow]

    run = solve_ivp(rates, (0, days), [0, 0, 0, alk0, 0.006, 0.006], method="Radau", rtol=1e-9, atol=1e-11)
    for value in run.y[:, -1]:
        print(value)
