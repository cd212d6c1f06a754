@php($money = static fn (int $minor): string => \OddBench\Money\Price::words($minor))
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Estimate {{ $number }}, {{ $job->machine->tag }}</title>
@include('paper-style')
</head>
<body>
<h1>Estimate {{ $number }} for {{ $familyName }}, tag {{ $job->machine->tag }}</h1>
<p>@if($owner)To {{ $owner->name }}<br>@endif{{ $shop }}, {{ $by }}, {{ $day }}</p>
@foreach(array_slice($paragraphs, 0, -1) as $paragraph)
<p>{{ $paragraph }}</p>
@endforeach
<table>
<tr><th>How it may turn out</th><th class="n">Of 100</th><th class="n">{{ $currency }}</th></tr>
@foreach($lines as $line)
<tr>
<td>{{ $line['what'] }}</td>
<td class="n">{{ round(100 * $line['probability']) < 1 ? 'under 1' : round(100 * $line['probability']) }}</td>
<td class="n">{{ $money($line['sumMinor']) }}</td>
</tr>
@endforeach
</table>
<p class="quiet">An estimate, not a fixed price: it says what is known on {{ $day }}.</p>
</body>
</html>
