"""What is left of a dose by numerical integration, for the cross-check of the core.

Per line "V C0 half_h hours | at,pct;... | q,from,to,holds;..." (half 0: none; holds 0: without end): C' = -(ln 2/half + sum of
q/V of what runs) C, an adsorber stops when q C integrated is what it holds, a change takes its share; scipy's
solve_ivp at rtol 1e-11, stopped at every event.
"""
import sys
from math import log

from scipy.integrate import solve_ivp


def rows(text):
    return [tuple(map(float, row.split(","))) for row in text.strip().split(";") if row]


for line in sys.stdin:
    head, changes, clearings = line.split("|")
    v, c0, half, hours = map(float, head.split())
    changes, clearings = rows(changes), rows(clearings)
    decay = log(2) / half if half else 0.0
    state = [c0] + [0.0] * len(clearings)
    full = set()
    now = 0.0
    stops = sorted({hours, *(at for at, _ in changes), *(t for c in clearings for t in c[1:3] if t < hours)} - {0.0})
    for stop in stops:
        while now < stop - 1e-12:
            runs = [i for i, c in enumerate(clearings) if i not in full and c[1] <= now + 1e-12 and now < c[2]]

            def slope(_, y):
                taken = [clearings[i][0] * y[0] / 1000 if i in runs else 0.0 for i in range(len(clearings))]
                return [-(decay + sum(clearings[i][0] for i in runs) / v) * y[0], *taken]

            events = []
            for i in runs:
                if clearings[i][3]:
                    event = lambda _, y, i=i: y[1 + i] - clearings[i][3]
                    event.terminal = True
                    event.of = i
                    events.append(event)
            run = solve_ivp(slope, (now, stop), state, method="DOP853", rtol=1e-11, atol=1e-13, events=events or None)
            state = list(run.y[:, -1])
            now = run.t[-1]
            if run.status == 1:
                full.update(event.of for event, times in zip(events, run.t_events) if len(times))
        for at, pct in changes:
            if abs(at - stop) < 1e-9:
                state[0] *= 1 - pct / 100
    print(state[0])
