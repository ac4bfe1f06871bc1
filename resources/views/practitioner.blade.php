<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>Ivory Pace</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/practitioner.ts')
</head>
<body>
<script data-page="app" type="application/json" nonce="{{ Vite::cspNonce() }}">{!! json_encode($page, JSON_HEX_TAG | JSON_THROW_ON_ERROR) !!}</script>
<div id="app"></div>
</body>
</html>
