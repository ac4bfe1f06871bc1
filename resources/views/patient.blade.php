<!doctype html>
<html lang="{{ app()->getLocale() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#FAF6EC">
    <meta name="description" content="{{ __('patient.enter.title') }}">
    <title>Ivory Pace</title>
    <link rel="manifest" href="/my.webmanifest">
    <link rel="apple-touch-icon" href="/icons/touch-180.png">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/patient.ts')
</head>
<body>
<script id="words" type="application/json" nonce="{{ Vite::cspNonce() }}">{!! json_encode($words, JSON_HEX_TAG | JSON_THROW_ON_ERROR) !!}</script>
<div id="app"></div>
</body>
</html>
