<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Ivory Pace</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <style nonce="{{ Vite::cspNonce() }}">
        body { background: #FAF6EC; color: #24302F; font: 1.0625rem/1.6 Georgia, serif; margin: 15vh auto; max-width: 34rem; padding: 0 1.5rem; }
        h1 { border-bottom: 1px solid #24302F; font-size: 1.75rem; padding-bottom: .5rem; }
        a { color: #1F5C57; }
    </style>
</head>
<body>
<main>
<h1>{{ $title }}</h1>
<p>{{ $text }}</p>
<p><a href="/">Back to the start</a></p>
</main>
</body>
</html>
