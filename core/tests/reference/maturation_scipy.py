"""The bacteria a start began with, found from its readings by scipy, for the cross-check of the core.

Per line a JSON object {load, temp, do, ph, xmax, alk, tan: [[day, middle, half width]…], no2: […]}. The model is that of
model_scipy.py, the cost the squares of the distances in half widths plus one of a power of ten about 0.006; prints the X1 and
X2 (mg N/L/d at 20 °C) of least cost by minimize_scalar on a scale of powers of ten, one to a line.
"""
import json
import sys
from math import log10

import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import minimize_scalar


def follow(case, x1, x2, days):
    unionised = 1 / (1 + 10 ** (0.09018 + 2729.92 / (case["temp"] + 273.2) - case["ph"]))
    temp = min(case["temp"], 32)
    warm, growth = 1.09 ** (temp - 20) if temp <= 20 else 1.04 ** (temp - 20), 1.09 ** (temp - 25)

    def rates(_, y):
        tan, no2, alk, a, b = y
        s1 = tan / (0.7 + tan) * case["do"] / (0.5 + case["do"]) * alk / (15 + alk)
        s2 = no2 / (0.5 + no2) * case["do"] / (1 + case["do"]) / (1 + unionised * tan / 0.5)
        r1, r2 = a * s1 * warm, b * s2 * warm
        grow = [(m * s * (1 - x / case["xmax"]) - 0.015 - 0.062 * max(0.0, 1 - s / 0.02)) * x * growth for m, s, x in ((0.477, s1, a), (0.40, s2, b))]
        return [case["load"] - r1, r1 - r2, 3.57 * case["load"] - 7.14 * r1, *grow]

    return solve_ivp(rates, (0, max(days)), [0, 0, case["alk"], x1, x2], method="Radau", rtol=1e-8, atol=1e-10, t_eval=sorted(days)).y


def least(cost):
    grid = np.linspace(-6, 1, 15)
    best = grid[int(np.argmin([cost(p) for p in grid]))]
    return 10 ** minimize_scalar(cost, bounds=(best - 0.5, best + 0.5), method="bounded", options={"xatol": 1e-4}).x


for line in sys.stdin:
    if not line.strip():
        continue
    case = json.loads(line)

    def cost(readings, row, x1, x2, unknown):
        y = follow(case, x1, x2, [r[0] for r in readings])[row]
        return sum(((m - r[1]) / r[2]) ** 2 for m, r in zip(y, readings)) + log10(unknown / 0.006) ** 2

    first = least(lambda p: cost(case["tan"], 0, 10**p, 0.006, 10**p))
    print(first)
    print(least(lambda p: cost(case["no2"], 1, first, 10**p, 10**p)))
