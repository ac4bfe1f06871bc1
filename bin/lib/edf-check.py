# Reads an EDF+ file by MNE and prints what it found as JSON: the values of each channel, and the notes.
import json
import sys

import mne

raw = mne.io.read_raw_edf(sys.argv[1], preload=True, verbose="error")
notes = [[float(a["onset"]), float(a["duration"]), str(a["description"])] for a in raw.annotations]
print(json.dumps({"rate": raw.info["sfreq"], "channels": dict(zip(raw.ch_names, raw.get_data().tolist())), "notes": notes}))
