{{-- Letters of ours first; those that they do not have come from the writer's own. --}}
<!doctype html>
<html lang="{{ $locale }}">
<head>
<meta charset="utf-8">
<title>{{ $title }}. {{ $about }}</title>
<style>
    @page { margin: 16mm 20mm 14mm; }
    body { font-family: figtree, 'figtree more', 'DejaVu Sans', sans-serif; font-size: 9.6pt; color: #24302f; line-height: 1.3; margin: 0; }
    h1, h2 { font-family: literata, 'literata more', 'DejaVu Serif', serif; margin: 0; line-height: 1.15; }
    h1 { font-size: 15pt; margin-bottom: 0.5mm; }
    h2 { font-size: 10.6pt; margin: 2.6mm 0 0.4mm; page-break-after: avoid; }
    p { margin: 0; }
    .head { border-bottom: 0.3mm solid #24302f; padding-bottom: 2mm; margin-bottom: 4mm; }
    .muted { color: #596159; }
    .to { float: left; width: 95mm; min-height: 15mm; }
    .date { text-align: right; }
    .about { clear: both; padding-top: 3mm; }
    .ridges { margin-top: 2mm; border-collapse: collapse; page-break-inside: avoid; }
    .ridges td { padding: 0 6mm 1mm 0; font-size: 8pt; color: #596159; line-height: 1; }
    .ridges img { width: 68mm; }
    .signed { margin-top: 5mm; }
    .foot { border-top: 0.2mm solid #24302f; margin-top: 4mm; padding-top: 1.5mm; font-size: 8.4pt; color: #596159; }
    .course { page-break-before: always; }
    .course img { width: 168mm; margin-top: 3mm; }
</style>
</head>
<body>
    <div class="head">{!! nl2br(e($head)) !!}</div>
    <div class="to">{!! nl2br(e($addressee)) !!}</div>
    <p class="date">{{ $on }}</p>
    <div class="about"><h1>{{ $title }}</h1><p>{{ $about }}</p></div>
    @foreach ($parts as $part)
        @if ($part['heading'] !== '')<h2>{{ $part['heading'] }}</h2>@else<p style="margin-top: 2.6mm"></p>@endif
        <p>{!! nl2br(e($part['text'])) !!}</p>
        @if ($part['ridges'] !== [])
        <table class="ridges">@foreach (array_chunk($part['ridges'], 2) as $pair)<tr>@foreach ($pair as $ridge)<td><img src="{{ $ridge['image'] }}" alt=""><br>{{ $ridge['name'] }}</td>@endforeach</tr>@endforeach</table>
        @endif
    @endforeach
    <p class="signed">{!! nl2br(e($signed)) !!}</p>
    @if ($safety !== [] || $foot !== '')
    <div class="foot">
        @foreach ($safety as $line)<p>{{ $line }}</p>@endforeach
        {!! nl2br(e($foot)) !!}
    </div>
    @endif
    @if ($course !== null)
    <div class="course">
        <h1>Week by week</h1><p>{{ $about }}</p>
        <img src="{{ $course }}" alt="">
        <p class="muted">A bar is what was practised of what was due in that week, a triangle a practice that was stopped for a symptom.
        What was prescribed and what happened stand side by side; that the one came of the other is not said by this.</p>
    </div>
    @endif
</body>
</html>
