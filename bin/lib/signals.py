# The same steps as the core's, by scipy, on traces of which each stands in a line as JSON: {"belly": [[t, v], …], "chest": [[t, v], …]}.
# Says in a line for each: starts of the inhales in s, rate a minute, the angle in degrees, and how long it took in ms.
import json
import sys
import time

import numpy as np
from scipy.signal import find_peaks, hilbert, savgol_filter

RATE = 25


def even(samples):
    t, v = np.array(samples, dtype=float).T
    count = int(np.floor((t[-1] - t[0]) * RATE + 1e-6)) + 1
    return t[0], np.interp(t[0] + np.arange(count) / RATE, t, v)


def without_drift(v):
    seconds = np.array([v[n : n + RATE].mean() for n in range(0, len(v), RATE)])
    last = len(seconds) - 1
    if last < 60:
        return v - np.median(seconds)
    middle = np.array([np.median(seconds[at - 30 : at + 31]) for at in range(30, last - 29)])
    calm = np.empty_like(middle)
    for at in range(len(middle)):
        reach = min(15, at, len(middle) - 1 - at)
        calm[at] = middle[at - reach : at + reach + 1].mean()
    slope = lambda a, b: 0.0 if b - a < 15 else (calm[b - 30] - calm[a - 30]) / (b - a)
    begins = slope(30, min(last - 30, 60))
    ends = slope(max(30, last - 60), last - 30)
    at = np.arange(last + 1)
    drift = np.where(
        at < 30,
        calm[0] - begins * (30 - at),
        np.where(at > last - 30, calm[-1] + ends * (at - last + 30), calm[np.clip(at - 30, 0, len(calm) - 1)]),
    )
    return v - np.interp((np.arange(len(v)) + 0.5) / RATE - 0.5, at, drift)


def in_turn(v, prominence):
    apart = round(0.6 * RATE)
    peaks = {int(p): True for p in find_peaks(v, prominence=prominence, distance=apart)[0]}
    troughs = {int(p): False for p in find_peaks(-v, prominence=prominence, distance=apart)[0]}
    turns = []
    for at, is_peak in sorted({**peaks, **troughs}.items()):
        if not turns or turns[-1][1] != is_peak:
            turns.append((at, is_peak))
        elif (v[at] > v[turns[-1][0]]) == is_peak:
            turns[-1] = (at, is_peak)
    if turns and turns[0][1]:
        at = int(np.argmin(v[: turns[0][0] + 1]))
        turns = [(at, False)] + turns if v[turns[0][0]] - v[at] >= prominence else turns[1:]
    if turns and turns[-1][1]:
        peak = turns[-1][0]
        at = peak + int(np.argmin(v[peak:]))
        turns = turns + [(at, False)] if v[peak] - v[at] >= prominence else turns[:-1]
    return turns


def first(v, a, b, height):
    part = v[a : b + 1] if a < b else v[b : a + 1][::-1]
    side = part > height
    changes = np.nonzero(side[1:] != side[:-1])[0]
    if len(changes) == 0:
        return float(b)
    n = changes[0]
    way = part[n + 1] - part[n]
    place = n + (0 if way == 0 else (height - part[n]) / way)
    return a + place if a < b else a - place


def start(v, trough, peak):
    height = v[peak] - v[trough]
    crossing = lambda level: (first(v, peak, trough, level) + first(v, trough, peak, level)) / 2
    low, high = crossing(v[trough] + 0.1 * height), crossing(v[peak] - 0.1 * height)
    part = np.arccos(0.8) / np.pi
    return max(float(trough), low - part * max(0.2 * RATE, abs(high - low) / (1 - 2 * part)))


def breaths(v):
    ordered = np.sort(v)
    last = len(v) - 1
    turns = in_turn(v, 0.3 * (ordered[int(np.floor(0.9 * last + 0.5))] - ordered[int(np.floor(0.1 * last + 0.5))]))
    sizes = [abs(v[b[0]] - v[a[0]]) for a, b in zip(turns, turns[1:])]
    turns = in_turn(v, 0.3 * np.median(sizes)) if sizes else []
    starts = [start(v, turns[n][0], turns[n + 1][0]) for n in range(0, len(turns) - 2, 2)]
    return starts, (turns[-1][0] if turns else 0)


def angle(belly, chest):
    # By the analytic signals: another way to the same angle.
    inner = slice(10 * RATE, -10 * RATE)
    one, other = hilbert(belly)[inner], hilbert(chest)[inner]
    return float(abs(np.degrees(np.angle(np.sum(other * np.conj(one))))))


for line in sys.stdin:
    made = json.loads(line)
    begun = time.perf_counter()
    begins, belly = even(made["belly"])
    belly = savgol_filter(without_drift(belly), 25, 3)
    starts, end = breaths(belly)
    lengths = np.diff(starts + [end])
    took = 1000 * (time.perf_counter() - begun)
    said = {"starts": [begins + s / RATE for s in starts], "rate": float(60 * RATE / np.median(lengths)), "ms": took}
    if "chest" in made:
        said["angle"] = angle(belly, savgol_filter(without_drift(even(made["chest"])[1]), 25, 3))
    print(json.dumps(said), flush=True)
