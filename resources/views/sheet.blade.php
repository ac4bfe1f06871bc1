<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $clinic }}</title>
<style>
    @page { margin: 14mm 16mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; color: #24302f; line-height: 1.35; }
    h1 { font-family: 'DejaVu Serif', serif; font-size: 15pt; margin: 0; }
    h2 { font-family: 'DejaVu Serif', serif; font-size: 12pt; margin: 0 0 2mm; }
    .muted { color: #596159; }
    .item { border-top: 0.3mm solid #24302f; padding-top: 3mm; margin-top: 4mm; page-break-inside: avoid; }
    table { border-collapse: collapse; width: 100%; }
    .half { width: 60%; vertical-align: top; padding-right: 5mm; }
    ul { margin: 0; padding-left: 4mm; }
    .grid { margin-top: 2mm; }
    .grid td, .grid th { border: 0.2mm solid #8b8672; height: 6mm; text-align: center; font-size: 7pt; font-weight: normal; }
    .grid th.when { text-align: left; padding-left: 1mm; width: 30mm; }
    .off { background: #eee7d6; }
    .foot { border-top: 0.3mm solid #24302f; margin-top: 5mm; padding-top: 3mm; page-break-inside: avoid; }
    img { width: 78mm; }
    .told { margin: 0 0 0.8mm; }
</style>
</head>
<body>
    <h1>{{ $patient }}</h1>
    <p class="muted">{{ $clinic }} · {{ __('sheet.version', ['number' => $number, 'from' => $from, 'review' => $review]) }}</p>
    @if ($goal !== '')<p>{{ __('sheet.goal', ['goal' => $goal]) }}</p>@endif
    @if ($note)<p>{!! nl2br(e($note)) !!}</p>@endif
    @if ($needs !== [])<p>{{ __('sheet.needs', ['things' => implode(', ', $needs)]) }}</p>@endif
    @foreach ($items as $item)
    <div class="item">
        <h2>{{ $item['name'] }}</h2>
        <table><tr>
            <td style="width: 40%; vertical-align: top; padding-right: 5mm"><img src="{{ $item['ridge'] }}" alt=""><br>
                {{ $item['about'] ? __('sheet.about') : '' }} {{ $item['minutes'] }}{{ $item['breaths'] > 0 ? ', '.trans_choice('patient.today.breaths', $item['breaths']) : '' }}</td>
            <td class="half">
                @foreach ($item['told'] as $part)
                @if ($part['part'] !== 'when' || $item['slots'] === [])
                <p class="told"><strong>{{ $part['label'] }}</strong> {{ implode(' ', $part['texts']) }}</p>
                @endif
                @endforeach
            </td>
        </tr></table>
        @foreach ($item['taught'] as $index => $step)<p class="told"><strong>{{ $index + 1 }}</strong> {{ $step }}</p>@endforeach
        @if ($item['slots'] !== [])
        <table class="grid">
            <tr><th class="when">{{ __('sheet.tally') }}</th>@foreach ($days as $day)<th>{{ $day->isoFormat('dd D') }}</th>@endforeach</tr>
            @foreach ($item['slots'] as $index => $slot)
            <tr><th class="when">{{ $item['anchors'][$index] }}</th>
                @foreach ($days as $day)<td @if (! $slot->isOn(\IvoryPace\Calendar\Weekday::from($day->dayOfWeekIso))) class="off" @endif></td>@endforeach</tr>
            @endforeach
        </table>
        @endif
    </div>
    @endforeach
    <div class="foot">
        <p><strong>{{ __('sheet.stop-title') }}</strong> {{ __('sheet.stop') }}</p>
        <p><strong>{{ __('sheet.help-title') }}</strong> {{ __('sheet.help') }} {{ $emergency }}</p>
        <p>{{ $slight }}</p>
        <p>{{ __('patient.practice.never') }} {{ __('patient.today.nobody') }} {{ __('sheet.licence') }}</p>
    </div>
</body>
</html>
