<!doctype html>
<html lang="{{ app()->getLocale() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <title>{{ __('patient.messages.title') }} · Ivory Pace</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <style nonce="{{ Vite::cspNonce() }}">
        body { background: #FAF6EC; color: #24302F; font: 1.0625rem/1.6 Georgia, serif; margin: 12vh auto; max-width: 34rem; padding: 0 1.5rem; }
        h1 { border-bottom: 1px solid #24302F; font-size: 1.5rem; padding-bottom: .5rem; }
        button { background: #1F5C57; border: 0; color: #FFFDF8; font: inherit; font-weight: 600; min-height: 3rem; padding: 0 1.5rem; }
        button:focus-visible { outline: 3px solid #24302F; outline-offset: 2px; }
    </style>
</head>
<body>
<main>
@if ($state === 'ask')
<h1>{{ __('patient.messages.stop-title') }}</h1>
<p>{{ __('patient.messages.stop-text', ['clinic' => $clinic]) }}</p>
<form method="post"><button type="submit">{{ __('patient.messages.stop') }}</button></form>
@else
<h1>{{ __('patient.messages.title') }}</h1>
<p>{{ __($state === 'done' ? 'patient.messages.stopped' : 'patient.messages.stop-old') }}</p>
@endif
</main>
</body>
</html>
