@php($money = static fn (int $minor): string => \OddBench\Money\Price::words($minor))
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Bill {{ $bill->number }}</title>
@include('paper-style')
</head>
<body>
<h1>Bill {{ $bill->number }}</h1>
<p>@if($owner)To {{ $owner->name }}<br>@endif{{ $shop }}, {{ $bill->person->name }}, {{ $day }}</p>
<p>{{ $familyName }}, tag {{ $job->machine->tag }}, in since {{ $job->opened_at->format('j F Y') }}: “{{ $job->complaint }}”</p>
<table>
<tr><th>What</th><th class="n">{{ $currency }}</th></tr>
@foreach($bill->lines as $line)
<tr><td>{{ $line['what'] }}</td><td class="n">{{ $money($line['minor']) }}</td></tr>
@endforeach
@if($bill->free_because)
<tr><td>Not charged: {{ $bill->free_because }}</td><td class="n">−{{ $money(array_sum(array_column($bill->lines, 'minor'))) }}</td></tr>
@elseif($bill->net_minor > array_sum(array_column($bill->lines, 'minor')))
<tr>
<td>Up to the least we charge</td>
<td class="n">{{ $money($bill->net_minor - array_sum(array_column($bill->lines, 'minor'))) }}</td>
</tr>
@endif
<tr><td>Net</td><td class="n">{{ $money($bill->net_minor) }}</td></tr>
@if((float) $bill->tax_pct > 0)<tr><td>Tax, {{ (float) $bill->tax_pct }} %</td><td class="n">{{ $money($bill->tax_minor) }}</td></tr>@endif
<tr><td><b>To pay</b></td><td class="n"><b>{{ $money($bill->gross_minor) }}</b></td></tr>
</table>
</body>
</html>
