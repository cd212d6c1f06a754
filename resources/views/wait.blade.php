<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <meta http-equiv="refresh" content="3">
  <title>{{ $heading }} · Odd Bench</title>
  <style>
    body { margin: 0; background: #EFEDE6; color: #1E2528; font: 16px/1.5 system-ui, sans-serif; }
    main { max-width: 32rem; margin: 15vh auto 0; padding: 1.5rem; background: #FBFAF6; border: 1px solid #D5D0C3; border-radius: 3px; }
    h1 { margin: 0 0 .5rem; font-size: 1.25rem; }
    p { margin: .5rem 0; }
  </style>
</head>
<body>
<main>
  <h1>{{ $heading }}</h1>
  @foreach ($lines as $line)
  <p>{{ $line }}</p>
  @endforeach
</main>
</body>
</html>
