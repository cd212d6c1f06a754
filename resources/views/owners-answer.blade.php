<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <meta name="robots" content="noindex, nofollow">
    <meta name="referrer" content="no-referrer">
    <title>Estimate for {{ $machine->tag }} · {{ $shop }}</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @include('owners-style')
</head>
<body>
<main>
    <p class="quiet">{{ $shop }}</p>
    <h1>What it will cost</h1>
    @if ($refused !== null)
    <p class="danger" role="alert"><strong>Your answer was not taken.</strong> {{ $refused }}</p>
    @endif
    @if ($over)
    <p>This estimate could be answered here until {{ $until }}. Please call us.</p>
    @elseif ($replaced)
    <p>This estimate was replaced by a later one, or withdrawn. Please answer the one we sent last, or call us.</p>
    @else
    @foreach ($paragraphs as $paragraph)
    @if ($loop->last && $answered === null)<p><strong>{{ $paragraph }}</strong></p>@elseif (! $loop->last)<p>{{ $paragraph }}</p>@endif
    @endforeach
    @if ($answered !== null)
    <p><strong>Your answer:</strong> {{ $answered }}. Call us when that is no longer right.</p>
    @else
    <form class="asked" method="post" action="{{ $path }}">
        <p><label><input type="radio" name="answer" value="go-ahead" required> Go ahead up to</label>
            <label class="sum"><span class="unseen">The most it may cost</span>
                <input name="upTo" inputmode="decimal" maxlength="40" value="{{ $upTo }}"> {{ $currency }}</label></p>
        <p><label><input type="radio" name="answer" value="ask-above"> Go ahead, and ask me again above</label>
            <label class="sum"><span class="unseen">The sum above which to ask</span>
                <input name="above" inputmode="decimal" maxlength="40" value="{{ $above }}"> {{ $currency }}</label></p>
        <p><label><input type="radio" name="answer" value="do-not-mend"> Do not mend it</label></p>
        <p><button class="pdf">Send my answer</button></p>
        <p class="quiet">You can answer here once, until {{ $until }}.</p>
    </form>
    @endif
    @endif
</main>
</body>
</html>
