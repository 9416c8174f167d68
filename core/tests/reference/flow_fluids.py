"""Friction factors, pipe losses and pump-curve interpolation by fluids and scipy, for the cross-checks of the core.

Lines in: "f RE ED" -> Darcy friction factor by Colebrook (or laminar);
"p Q D L K" -> head loss in m of water at 20 C, roughness 1.5 um; "c X" -> the test pump curve at X.
"""
import sys

from fluids.friction import Colebrook, friction_laminar
from scipy.interpolate import PchipInterpolator

G, NU = 9.80665, 1.004e-6
CURVE = PchipInterpolator([0, 3000, 7000, 9000, 14000], [6.0, 5.6, 4.1, 3.0, 0.5])


def factor(re, ed):
    return friction_laminar(re) if re < 2040 else Colebrook(re, ed)


for line in sys.stdin:
    kind, *numbers = line.split()
    a = list(map(float, numbers))
    if kind == "f":
        print(factor(*a))
    elif kind == "p":
        q, d, length, k = a
        v = q / (3.141592653589793 / 4 * d**2)
        print((factor(v * d / NU, 1.5e-6 / d) * length / d + k) * v**2 / (2 * G))
    else:
        print(CURVE(a[0]))
