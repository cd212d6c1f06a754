<section class="asked" aria-labelledby="asked">
    <h2 id="asked">What it will cost</h2>
    @foreach ($paragraphs as $paragraph)
    @if (! $loop->last)<p>{{ $paragraph }}</p>@endif
    @endforeach
    @if ($answered !== null)
    <p><strong>Answered:</strong> {{ $answered }}. Call us when that is no longer right.</p>
    @else
    <form method="post" action="/o/{{ $key }}/answer">
        <input type="hidden" name="estimate" value="{{ $estimate->id }}">
        <p><label><input type="radio" name="answer" value="go-ahead" required> Go ahead up to</label>
            <label class="sum"><span class="unseen">The most it may cost</span>
                <input name="upTo" inputmode="decimal" maxlength="40" value="{{ $upTo }}"> {{ $currency }}</label></p>
        <p><label><input type="radio" name="answer" value="ask-above"> Go ahead, and ask me again above</label>
            <label class="sum"><span class="unseen">The sum above which to ask</span>
                <input name="above" inputmode="decimal" maxlength="40" value="{{ $above }}"> {{ $currency }}</label></p>
        <p><label><input type="radio" name="answer" value="do-not-mend"> Do not mend it</label></p>
        <p><button class="pdf">Send my answer</button></p>
    </form>
    @endif
</section>
