<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex, nofollow">
    <title>Your answer</title>
    <style>
        body { margin: 0; background: #f4f1e8; color: #1d2326; font: 17px/1.5 system-ui, sans-serif; }
        main { max-width: 44rem; margin: 0 auto; padding: 2rem 1.1rem; }
        a { color: #0f5661; font-weight: 600; }
    </style>
</head>
<body>
<main>
    <p role="alert"><strong>Not kept.</strong> {{ $words }}</p>
    <p><a href="/o/{{ $key }}">Back to the page</a></p>
</main>
</body>
</html>
