"""Concentrations after a trickle by numerical integration, for the cross-check of the core.

Per line "C0 Cs P_g_d Q_l_d V_l days": dC/dt = 1000 P/V + Q/V (Cs - C), by scipy's solve_ivp at rtol 1e-11.
"""
import sys

from scipy.integrate import solve_ivp

for line in sys.stdin:
    c0, cs, p, q, v, days = map(float, line.split())
    run = solve_ivp(lambda t, c: [1000 * p / v + q / v * (cs - c[0])], (0, days), [c0], method="DOP853", rtol=1e-11, atol=1e-12)
    print(run.y[0, -1])
