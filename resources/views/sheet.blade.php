<!doctype html>
<html lang="{{ app()->getLocale() }}">
<head>
<meta charset="utf-8">
<title>{{ $clinic }}</title>
@include('sheet.look', ['paper' => $paper])
</head>
<body>
    @php($which = __('patient.sheet.version', ['number' => $number, 'from' => $from, 'review' => $review]))
    @if ($paper->isWide())
    <table class="head"><tr><td><h1>{{ $patient }}</h1></td><td class="right muted">{{ $clinic }}<br>{{ $which }}</td></tr></table>
    @else
    <h1>{{ $patient }}</h1><p class="muted">{{ $clinic }}. {{ $which }}</p>
    @endif
    @if ($goal !== '')<p>{{ __('patient.sheet.goal', ['goal' => $goal]) }}</p>@endif
    @if ($note)<p>{!! nl2br(e($note)) !!}</p>@endif
    @if ($needs !== [])<p>{{ __('patient.sheet.needs', ['things' => implode(', ', $needs)]) }}</p>@endif
    @foreach ($items as $item)
        @if (! $item['needed'])<div class="item">@include('sheet.item', ['item' => $item])</div>@endif
    @endforeach
    @foreach ($items as $item)
        @if ($item['needed'])<div class="boxed"><p class="box-title">{{ __('patient.sheet.when-needed') }}</p>@include('sheet.item', ['item' => $item])</div>@endif
    @endforeach
    <div class="foot">
        @php($safety = [
            '<strong>'.e(__('sheet.stop-title')).'</strong> '.e(__('sheet.stop')).'<br>'.e($slight),
            '<strong>'.e(__('sheet.help-title')).'</strong> '.e(__('sheet.help').' '.$emergency).'<br>'
                .e(__('patient.practice.never').' '.__('patient.today.nobody').' '.__('sheet.licence')),
        ])
        @if ($paper->isWide())
        <table><tr><td class="half">{!! $safety[0] !!}</td><td class="half">{!! $safety[1] !!}</td></tr></table>
        @else
        <p>{!! $safety[0] !!}</p><p>{!! $safety[1] !!}</p>
        @endif
    </div>
</body>
</html>
