"""What lives in a filter after a past, by scipy's solve_ivp at rtol 1e-10, for the cross-check of the core.

Per line "greatest hardest temp days load standing | ago,kind,value;...": greatest g N/d at temp; shares 0 to 1. The
equation is written out from its source, not taken from the core: dX/dt = (mu s (1 - X) - b) X 1.09^(min(T,32)-25),
s = min(hardest, load/(G X)), mu 0.477, b = 0.015 + 0.0619 max(0, 1 - s/0.02) a day at 25 C.
"""
import sys
from math import exp

from scipy.integrate import solve_ivp

MU, B = 0.477, 0.015
STARVED = 0.05 * 1.09**5
SEED = 1e-4


def warmth(t, of):
    return 1.09 ** (min(t, 32) - of)


def grown(x, load, days, g, hardest, t):
    if days <= 0:
        return x

    def slope(_, y):
        x = max(y[0], 1e-12)
        s = min(hardest, load / (g * x)) if g > 0 else 0.0
        b = B + (STARVED - B) * max(0.0, 1 - s / 0.02)
        return [(MU * s * (1 - x) - b) * x * warmth(t, 25)]

    return solve_ivp(slope, (0, days), [max(SEED, x)], method="LSODA", rtol=1e-10, atol=1e-14, max_step=0.5).y[0, -1]


for line in sys.stdin:
    head, rows = line.split("|")
    greatest, hardest, temp, days, load, standing = map(float, head.split())
    events = sorted((r.split(",") for r in rows.strip().split(";") if r), key=lambda r: -float(r[0]))
    x = 1 / (1 + B / MU * greatest * standing / load) if standing > 0 and load > 0 else 0.0
    ago = days
    for at, kind, value in events:
        at, value = float(at), float(value)
        x = grown(x, load, ago - at, greatest * standing, hardest, temp) if standing > 0 else 0.0
        ago = at
        if kind == "load":
            load = value
        elif kind == "media":
            x = x * standing / value
            standing = value
        elif kind == "lost":
            x *= 1 - value
        elif kind == "slept":
            x *= exp(-0.05 * warmth(temp, 20) * value)
            ago -= value
    print(100 * standing * (grown(x, load, ago, greatest * standing, hardest, temp) if standing > 0 else 0.0))
