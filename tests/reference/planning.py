"""Reference values of planned samples: the F test of a ratio of variances, the sign test of a median of normal readings, and the
exact test of a share of a lot. Everything is summed or integrated by mpmath with 40 digits; run with Python 3 and mpmath:

    python3 planning.py > planning.json
"""

import json
import random

from mpmath import betainc, binomial, erfc, mp, mpf, sqrt

mp.dps = 40
random.seed(20261128)


def f_lower(x, df):
    """P(F <= x) with df and df degrees of freedom."""
    x = mpf(x)
    return betainc(mpf(df) / 2, mpf(df) / 2, 0, x / (1 + x), regularized=True)


def f_quantile(p, df):
    low, high = mpf("1e-12"), mpf("1e12")
    for _ in range(250):
        middle = sqrt(low * high)
        if f_lower(middle, df) < p:
            low = middle
        else:
            high = middle
    return sqrt(low * high)


def ratio_power(n, value, truth, alternative, alpha):
    df, scale = n - 1, mpf(value) / mpf(truth)
    tail = mpf(alpha) / 2 if alternative == "two-sided" else mpf(alpha)
    less = f_lower(f_quantile(tail, df) * scale, df)
    # The upper quantile is the reciprocal of the lower one, and so are the tails.
    greater = f_lower(f_quantile(tail, df) / scale, df)
    return {"less": less, "greater": greater, "two-sided": less + greater}[alternative]


def binomial_masses(n, p):
    p = mpf(p)
    return [binomial(n, k) * p**k * (1 - p) ** (n - k) for k in range(n + 1)]


def lot_masses(n, lot, marked):
    total = binomial(lot, n)
    return [
        binomial(marked, k) * binomial(lot - marked, n - k) / total if 0 <= n - k <= lot - marked and k <= marked else mpf(0)
        for k in range(n + 1)
    ]


def region(low_masses, high_masses, alternative, alpha):
    tail = mpf(alpha) / 2 if alternative == "two-sided" else mpf(alpha)
    n = len(low_masses) - 1
    lower, total = -1, mpf(0)
    for k in range(n + 1):
        total += low_masses[k]
        if total > tail:
            break
        lower = k
    upper, total = n + 1, mpf(0)
    for k in range(n, -1, -1):
        total += high_masses[k]
        if total > tail:
            break
        upper = k
    if alternative == "greater":
        lower = -1
    if alternative == "less":
        upper = n + 1
    return lower, upper


def in_region(bounds, masses):
    lower, upper = bounds
    return sum(masses[: lower + 1], mpf(0)) + sum(masses[upper:], mpf(0))


def sign_power(n, value, truth, sd, alternative, alpha):
    above = erfc((mpf(value) - mpf(truth)) / mpf(sd) / sqrt(2)) / 2
    half = binomial_masses(n, mpf(1) / 2)
    return in_region(region(half, half, alternative, alpha), binomial_masses(n, above))


def boundary(share, lot, is_fewest):
    units = mpf(share) * lot
    nearest = int(mp.nint(units))
    if abs(units - nearest) < mpf("1e-9"):
        return nearest
    return int(mp.ceil(units)) if is_fewest else int(mp.floor(units))


def lot_power(n, lot, value, marked, alternative, alpha):
    few, most = boundary(value, lot, True), boundary(value, lot, False)
    return in_region(
        region(lot_masses(n, lot, few), lot_masses(n, lot, most), alternative, alpha), lot_masses(n, lot, marked)
    )


def stable(power_at, wanted, until):
    """The first size that reaches a power, and the smallest from which on it holds up to `until`."""
    powers = {n: power_at(n) for n in range(1, until + 1)}
    reached = [n for n in powers if powers[n] >= wanted]
    short = [n for n in powers if powers[n] < wanted]
    last = max(short, default=0)
    if not reached or last == until:
        return None
    return {"firstN": reached[0], "n": last + 1, "power": text(powers[last + 1])}


def text(value):
    return mp.nstr(value, 20)


SIDES = ["less", "greater", "two-sided"]


def ratio_rows():
    for at in range(12):
        side = SIDES[at % 3]
        value = random.choice(["1", "0.5", "2"])
        factor = random.choice(["1.5", "2", "3", "4.5"])
        truth = mpf(value) / mpf(factor) if side == "less" or at % 6 == 5 else mpf(value) * mpf(factor)
        truth = mp.nstr(truth, 6)
        n, alpha = random.choice([2, 5, 12, 30, 101, 400]), random.choice(["0.05", "0.01", "0.1"])
        yield {"id": f"ratio_{at + 1}", "alternative": side, "value": value, "truth": truth, "n": n, "alpha": alpha,
               "power": text(ratio_power(n, value, truth, side, alpha))}


def sign_rows():
    for at in range(12):
        side = SIDES[at % 3]
        gap = random.choice(["0.05", "0.1", "0.2", "0.33"])
        truth = mp.nstr(15 - mpf(gap) if side == "less" or at % 6 == 5 else 15 + mpf(gap), 8)
        n, alpha, sd = random.choice([4, 8, 20, 60, 150]), random.choice(["0.05", "0.01", "0.1"]), random.choice(["0.11", "0.3"])
        wanted = random.choice(["0.8", "0.9"])
        power_at = lambda size: sign_power(size, "15", truth, sd, side, alpha)
        yield {"id": f"sign_{at + 1}", "alternative": side, "value": "15", "truth": truth, "standardDeviation": sd, "n": n,
               "alpha": alpha, "power": text(power_at(n)), "target": wanted,
               "size": stable(power_at, mpf(wanted), 420)}


def lot_rows():
    for at in range(15):
        side = SIDES[at % 3]
        lot = random.choice([40, 101, 250, 333])
        value = random.choice(["0.9", "0.5", "0.95", "0.13"])
        step = max(1, round(lot * random.choice([0.06, 0.1, 0.2])))
        low = side == "less" or at % 6 == 5 or value == "0.95"
        side = "less" if low and side == "greater" else side
        marked = boundary(value, lot, True) - step if low else boundary(value, lot, False) + step
        marked = min(lot, max(0, marked))
        n, alpha, wanted = random.randint(1, lot), random.choice(["0.05", "0.01"]), random.choice(["0.8", "0.9"])
        power_at = lambda size: lot_power(size, lot, value, marked, side, alpha)
        yield {"id": f"lot_{at + 1}", "alternative": side, "value": value, "lotSize": lot, "marked": marked, "n": n, "alpha": alpha,
               "power": text(power_at(n)), "target": wanted, "size": stable(power_at, mpf(wanted), lot)}


print(json.dumps({"ratio": list(ratio_rows()), "sign": list(sign_rows()), "lot": list(lot_rows())}, indent=1))
