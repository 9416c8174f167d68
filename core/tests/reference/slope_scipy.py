"""A run of readings, as [[day, value], …]: the slope of the least-squares line and its standard error, by scipy, a line each."""
import json
import sys

from scipy.stats import linregress

for line in sys.stdin:
    run = json.loads(line)
    fit = linregress([day for day, _ in run], [value for _, value in run])
    print(fit.slope)
    print(fit.stderr)
