@php($money = static fn (int $minor): string => number_format($minor / 100, 2, '.', ' '))
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Order {{ $order->id }}</title>
@include('paper-style')
</head>
<body>
<h1>Order {{ $order->id }}</h1>
<p>To {{ $order->supplier->name }}@if($order->supplier->contact)<span class="quiet">, {{ $order->supplier->contact }}</span>@endif</p>
<p>From {{ $shop }}, {{ $order->person->name }}, {{ $day }}</p>
<table>
<tr><th>Your number</th><th>Ours</th><th>What</th><th class="n">Packs</th><th class="n">In a pack</th><th class="n">A pack, {{ $currency }}</th><th class="n">{{ $currency }}</th></tr>
@foreach($rows as [$theirs, $ours, $name, $packs, $pack, $cost])
<tr><td>{{ $theirs }}</td><td>{{ $ours }}</td><td>{{ $name }}</td><td class="n">{{ $packs }}</td><td class="n">{{ $pack }}</td><td class="n">{{ $money($cost) }}</td><td class="n">{{ $money($cost * $packs) }}</td></tr>
@endforeach
<tr><td colspan="6">Freight, as you say</td><td class="n">{{ $money($order->freight_minor) }}</td></tr>
<tr><td colspan="6"><b>Together</b></td><td class="n"><b>{{ $money($order->freight_minor + array_sum(array_map(static fn (array $r): int => $r[3] * $r[5], $rows))) }}</b></td></tr>
</table>
@if($order->note)<p>{{ $order->note }}</p>@endif
<p class="quiet">Expected by {{ $order->expected_at->format('j F Y') }}. Please say when a price or a pack has changed.</p>
</body>
</html>
