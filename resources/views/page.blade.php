<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <title>Odd Bench</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @foreach (['archivo/files/archivo-latin-wdth-normal', 'red-hat-mono/files/red-hat-mono-latin-wght-normal'] as $font)
    <link rel="preload" as="font" type="font/woff2" crossorigin href="{{ Vite::asset("node_modules/@fontsource-variable/{$font}.woff2") }}">
    @endforeach
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="page"></div>
    <noscript>Odd Bench needs JavaScript.</noscript>
</body>
</html>
