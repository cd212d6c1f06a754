<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <meta name="robots" content="noindex, nofollow">
    <title>{{ $machine->tag }} · {{ $shop }}</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @include('owners-style')
</head>
<body>
<main>
    @if ($openJob)
    <div class="now">
        <p><strong>It is with us</strong>, since {{ $openJob->opened_at->copy()->setTimezone($zone)->format('j F Y') }}.</p>
        <p>{{ \App\Release\OwnersWords::of($openJob) }}@if ($openJob->promised_for) Promised for {{ $openJob->promised_for->format('j F') }}.@endif</p>
    </div>
    @foreach ($more as [$part, $with])
        @include($part, $with)
    @endforeach
    @endif
    @if ($sheet)
        @if ($openJob) <p><strong>From its last visit:</strong></p> @endif
        @include('sheet', ['sheet' => $sheet, 'pdf' => false])
        <a class="pdf" href="/o/{{ $machine->page_key }}/sheet.pdf">The same as PDF</a>
    @elseif (! $openJob)
        <p class="quiet">{{ $shop }}</p>
        <h1>Nothing to show yet</h1>
        <p>This machine, tag <span class="fig">{{ $machine->tag }}</span>, has left our bench with no report so far.</p>
    @else
        <p class="quiet">{{ $shop }}</p>
        <h1 class="fig">{{ $machine->tag }}</h1>
        <p>When it leaves, its report stands here.</p>
    @endif
</main>
</body>
</html>
