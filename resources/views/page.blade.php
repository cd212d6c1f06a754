<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <title>Odd Bench</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="page"></div>
    <noscript>Odd Bench needs JavaScript.</noscript>
</body>
</html>
