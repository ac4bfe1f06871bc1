"""Reads a calendar with icalendar and dateutil and says when each event takes place, in UTC.

/usr/bin/python3 tests/readers/read_calendar.py < calendar.ics

The zone is made of what the calendar itself says about it, not of what this machine knows.
"""

import json
import sys

import pytz
from dateutil.rrule import rrulestr
from icalendar import Calendar

calendar = Calendar.from_ical(sys.stdin.read())
zones = {str(zone["TZID"]): zone.to_tz() for zone in calendar.walk("VTIMEZONE")}


def instant(wall, zone):
    """A time by the clock: the first of two, and the moment after where the clock skips it (RFC 5545, 3.3.5)."""
    try:
        return zone.localize(wall, is_dst=None)
    except pytz.AmbiguousTimeError:
        return zone.localize(wall, is_dst=True)
    except pytz.NonExistentTimeError:
        return zone.localize(wall, is_dst=False)


def listed(event, name):
    found = event.get(name, [])
    return [each.dt for one in (found if isinstance(found, list) else [found]) for each in one.dts]


def left_out(event):
    return [each.replace(tzinfo=None) for each in listed(event, "EXDATE")]


def extra(event):
    return [each.astimezone(pytz.utc) for each in listed(event, "RDATE")]


lines = []
for event in calendar.walk("VEVENT"):
    start = event["DTSTART"]
    zone = zones.get(start.params.get("TZID"), pytz.utc)
    wall = start.dt.replace(tzinfo=None)
    walls = [wall]
    if "RRULE" in event:
        rule = dict(event["RRULE"])
        until = rule.pop("UNTIL")[0]
        days = ",".join(rule["BYDAY"])
        walls = []
        for each in rrulestr(f"FREQ=WEEKLY;BYDAY={days}", dtstart=wall):
            if instant(each, zone) > until:
                break
            walls.append(each)
    moments = [instant(each, zone).astimezone(pytz.utc) for each in walls if each not in left_out(event)]
    for at in moments + extra(event):
        lines.append(f"{at:%Y-%m-%dT%H:%M} {event['SUMMARY']}")
print(json.dumps(sorted(lines)))
