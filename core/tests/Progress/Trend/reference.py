# Values of an outside library, for TrendTest:
#   /usr/bin/python3 core/tests/Progress/Trend/reference.py > core/tests/Progress/Trend/reference.json
# Debian 12: python3-scipy 1.10.1.
import json
import random

from scipy.stats import kendalltau, theilslopes

random.seed(20261125)
series = [[5] * 12, list(range(10)), [9, 8, 9, 7, 8, 6, 6, 7, 5, 5, 4, 5, 3, 4], [0, 10] * 5]
for _ in range(60):
    days = random.randint(7, 90)
    slope = random.uniform(-0.15, 0.15)
    series.append([max(0, min(10, round(5 + slope * day + random.gauss(0, 1.5)))) for day in range(days)])
cases = []
for values in series:
    # Days on which nothing was written are missing.
    days = sorted(random.sample(range(len(values) * 2), len(values)))
    slope, intercept, low, high = theilslopes(values, days, 0.95)
    tau = kendalltau(days, values).statistic
    cases.append({'days': days, 'values': values, 'slope': slope, 'intercept': intercept, 'low': low, 'high': high, 'tau': None if tau != tau else tau})
print(json.dumps(cases))
