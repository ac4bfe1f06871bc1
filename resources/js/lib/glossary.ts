/** Words of the field as they are meant here; a newcomer looks them up behind “?”. */
export const GLOSSARY: readonly (readonly [string, string])[] = [
    ['Adherence', 'How much of what was due was practised. A full practice counts one, one in part its share.'],
    ['Anchor', 'What in the day a practice hangs on: waking, a meal, lights out. Each has a window of hours.'],
    ['As needed', 'Not planned for a time; used when it is needed, up to so many times a day.'],
    [
        'Comfortable exhale',
        'How long the patient breathes out or hums without strain; the longest out-count goes by it.',
    ],
    ['Count', 'One beat of the pacer. How long it lasts is set beside the ratio.'],
    ['Finding', 'What a rule says about a prescription for this patient: stop, needs a reason, caution or note.'],
    ['From a signed-out device', 'Sent after the device was signed out. It counts once you have accepted it.'],
    ['Kept up', 'A programme without an end that keeps what an earlier one reached.'],
    ['Ladder', 'The steps by which an exercise grows, one change at a time: up, back, and where it ends.'],
    ['Pause', 'An exercise waits until a practitioner has looked; at home it cannot be begun.'],
    ['Quiet share', 'How much of a breath is out-breath and rest.'],
    ['Ratio', 'In : hold : out : rest, in counts.'],
    ['Red flag', 'An answer or a value that is looked at by a physician first. Nothing is issued while it is open.'],
    ['Review', 'The day by which the programme is looked at again.'],
    ['School', 'A way of teaching, with its own usual counts and words.'],
    ['Second look', 'Asked two minutes after a stop: has it settled?'],
    ['Short version', 'A smaller form for a bad day, which counts in full.'],
    ['Tally', 'One stroke for each practice of a day: whole, in part, missed, stopped.'],
];
