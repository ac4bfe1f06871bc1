@foreach ($parts as $part)<p class="told"><strong>{{ $part['label'] }}</strong> {{ implode(' ', $part['texts']) }}</p>@endforeach
