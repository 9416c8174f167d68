"""Friction factors, pipe losses and pump-curve interpolation by fluids and scipy, for the cross-checks of the core.

Lines in: "f RE ED" -> Darcy friction factor by Colebrook (or laminar);
"p Q D L K" -> head loss in m of water at 20 C, roughness 1.5 um; "c X" -> the test pump curve at X;
"a AIR SUBMERGENCE LIFT D K" -> flow of an airlift in L/h by Nicklin's slug flow, air in L/min.
"""
import sys

from fluids.friction import Colebrook, friction_laminar
from scipy.interpolate import PchipInterpolator
from scipy.optimize import brentq, fsolve

G = 9.80665
# Viscosity of water at 20 C by the same Vogel equation and density, so that what is compared is the hydraulics.
NU = 2.414e-5 * 10 ** (247.8 / 153.15) / (1000 * (1 - 308.9414 / (508929.2 * 88.12963) * 16.0137**2))
CURVE = PchipInterpolator([0, 3000, 7000, 9000, 14000], [6.0, 5.6, 4.1, 3.0, 0.5])


def factor(re, ed):
    return friction_laminar(re) if re < 2040 else Colebrook(re, ed)


def loss(q, d, length, k):
    """Head loss of a line, signed with the flow."""
    v = abs(q) / (3.141592653589793 / 4 * d**2)
    if v == 0:
        return 0.0
    return (factor(v * d / NU, 1.5e-6 / d) * length / d + k) * v**2 / (2 * G) * (1 if q > 0 else -1)


def gravity_loop():
    """Two drains into a chamber, a pump out of it, two returns to the pond 0.1 m up. Flows in L/h."""

    def balance(x):
        d1, d2, pump, r1, r2 = [1e-3 * v for v in x[:5]]
        chamber, manifold = x[5:]
        return [
            0 - chamber - loss(d1, 0.1036, 6, 2.1),
            0 - chamber - loss(d2, 0.0758, 4, 2.6),
            chamber + CURVE(pump * 3.6e6) - manifold - loss(pump, 0.05, 1.5, 3),
            manifold - 0.1 - loss(r1, 0.05, 8, 6),
            manifold - 0.1 - loss(r2, 0.04, 3, 4),
            d1 + d2 - pump,
            pump - r1 - r2,
        ]

    x = fsolve(balance, [1.2, 0.8, 2.0, 1.1, 0.9, -0.02, 1.0], xtol=1e-13)
    return [3600 * v for v in x[:5]] + [x[5]]


def airlift(air, sub, lift, d, k):
    """Nicklin: gas share jg / (1.2 (jg + jl) + 0.35 sqrt(g d)); what the water beside it pushes carries the riser."""
    area = 3.141592653589793 / 4 * d**2
    jg = air / 60000 * 10.33 / (10.33 + sub / 2) / area

    def surplus(jl):
        gas = jg / (1.2 * (jg + jl) + 0.35 * (G * d) ** 0.5)
        j = jg + jl
        column = (1 - gas) * (sub + lift)
        rub = column * factor(j * d / NU, 1.5e-6 / d) / d * j**2 / (2 * G)
        return sub - column - rub - k * jl**2 / (2 * G)

    return 3.6e6 * area * brentq(surplus, 0, 10, xtol=1e-12) if surplus(0) > 0 else 0.0


for line in sys.stdin:
    kind, *numbers = line.split()
    a = list(map(float, numbers))
    if kind == "f":
        print(factor(*a))
    elif kind == "p":
        q, d, length, k = a
        v = q / (3.141592653589793 / 4 * d**2)
        print((factor(v * d / NU, 1.5e-6 / d) * length / d + k) * v**2 / (2 * G))
    elif kind == "a":
        print(airlift(*a))
    elif kind == "n":
        print("\n".join(map(str, gravity_loop())))
    else:
        print(CURVE(a[0]))
