<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $clinic }}: {{ $quarter }}</title>
<style>
    @page { margin: 18mm 20mm 16mm; }
    body { font-family: figtree, 'figtree more', 'DejaVu Sans', sans-serif; font-size: 9.6pt; color: #24302f; line-height: 1.3; margin: 0; }
    h1 { font-family: literata, 'literata more', 'DejaVu Serif', serif; font-size: 16pt; margin: 0 0 0.5mm; line-height: 1.15; }
    p { margin: 0; }
    .muted { color: #596159; }
    .head { border-bottom: 0.3mm solid #24302f; padding-bottom: 3mm; margin-bottom: 4mm; }
    table { width: 100%; border-collapse: collapse; }
    th { font-weight: normal; text-align: left; }
    td, .number { text-align: right; width: 25mm; }
    .number { white-space: nowrap; font-size: 8.6pt; }
    td, tbody th { border-top: 0.2mm solid #cfd3cd; padding: 0.9mm 0; }
    .group th { font-family: literata, 'literata more', 'DejaVu Serif', serif; font-size: 10.6pt; border: 0; padding-top: 3mm; }
    .foot { border-top: 0.2mm solid #24302f; margin-top: 5mm; padding-top: 1.5mm; font-size: 8.4pt; color: #596159; }
</style>
</head>
<body>
    <div class="head"><h1>{{ $clinic }}</h1><p>What became of our patients, {{ $quarter }} and the three quarters before. Made on {{ $on }}.</p></div>
    <table>
        <thead><tr class="muted"><th></th>@foreach ($quarters as $each)<th class="number">{{ $each }}</th>@endforeach</tr></thead>
        <tbody>
        @foreach ($groups as $group)
            <tr class="group"><th colspan="5">{{ $group['title'] }}</th></tr>
            @foreach ($group['lines'] as $line)
            <tr><th>{{ $line['label'] }}</th>@foreach ($line['numbers'] as $number)<td>{{ App\Reports\QuarterReport::shown($number) }}</td>@endforeach</tr>
            @endforeach
        @endforeach
        </tbody>
    </table>
    <div class="foot">
        <p>“–” is left out: fewer than {{ $least }} people, or a number from which theirs could be found out, or nothing to divide by.
        A practice counts that was done at least in part and is not doubted. What was prescribed and what happened stand side by side;
        that the one came of the other is not said by this.</p>
    </div>
</body>
</html>
