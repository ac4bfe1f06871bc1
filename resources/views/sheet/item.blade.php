{{-- One exercise: what it looks like and where it is done, how it is done, its steps, and a grid to tally on. --}}
@php($dose = trim(($item['about'] ? __('patient.sheet.about') : '').' '.$item['minutes'].($item['breaths'] > 0 ? ', '.trans_choice('patient.today.breaths', $item['breaths']) : '')))
<table class="title"><tr><td><h2>{{ $item['name'] }}</h2></td><td class="right muted">{{ $dose }}</td></tr></table>
@if ($paper->isWide())
<table><tr>
    <td class="place"><img src="{{ $item['ridge'] }}" alt="">@include('sheet.told', ['parts' => $item['columns'][0]])</td>
    <td class="way">@include('sheet.told', ['parts' => $item['columns'][1]])</td>
</tr></table>
@else
<img src="{{ $item['ridge'] }}" alt="">
@include('sheet.told', ['parts' => [...$item['columns'][0], ...$item['columns'][1]]])
@endif
@foreach ($item['taught'] as $index => $step)<p class="told"><strong>{{ $index + 1 }}</strong> {{ $step }}</p>@endforeach
@if ($item['slots'] !== [])
<table class="grid">
    <tr><th class="when">{{ __('sheet.tally') }}</th>@foreach ($days as $day)<th class="day">{{ $day->isoFormat('dd') }}<br>{{ $day->isoFormat('D') }}</th>@endforeach</tr>
    @foreach ($item['slots'] as $index => $slot)
    <tr><th class="when">{{ $item['anchors'][$index] }}</th>
        @foreach ($days as $day)<td @if (! $slot->isOn(\IvoryPace\Calendar\Weekday::from($day->dayOfWeekIso))) class="off" @endif></td>@endforeach</tr>
    @endforeach
</table>
@endif
