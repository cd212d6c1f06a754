<section class="asked" aria-labelledby="asked">
    <h2 id="asked">What it will cost</h2>
    @if ($answered !== null)
    <p>You answered our estimate of {{ $sent }} on {{ $answered }}. Call us when that is no longer right.</p>
    @else
    <p>We sent you an estimate on {{ $sent }} and wait for your answer. Answer at the address in it, or call us.</p>
    @endif
</section>
