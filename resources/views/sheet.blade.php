@php
    /** @var \App\Release\Sheet $sheet */
    $day = static fn (?string $iso): string => $iso === null ? '' : \Illuminate\Support\Carbon::parse($iso)->format('j F Y');
    $whole = static fn (?float $n): string => $n === null ? 'not known' : number_format($n, 0, '.', "\u{A0}");
@endphp
@if ($pdf)
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $sheet->title() }} {{ $sheet->tag }}</title>
    <style>
        @page { margin: 18mm 17mm; }
        body { font-family: "DejaVu Sans", sans-serif; font-size: 9.5pt; line-height: 1.4; color: #1d2326; }
        h1 { font-size: 19pt; margin: 0 0 2mm; }
        h2 { font-size: 11pt; margin: 6mm 0 1.5mm; border-bottom: 0.4mm solid #1d2326; padding-bottom: 0.8mm; }
        p { margin: 0 0 1.5mm; }
        table { border-collapse: collapse; width: 100%; }
        td, th { text-align: left; vertical-align: top; padding: 0.8mm 3mm 0.8mm 0; border-bottom: 0.2mm solid #c9c3b4; }
        th { font-weight: normal; color: #5a6468; }
        ul { margin: 0; padding-left: 5mm; }
        .quiet { color: #5a6468; }
        .fig { font-family: "DejaVu Sans Mono", monospace; }
        .right { text-align: right; }
        .one { white-space: nowrap; }
        .danger { border: 1mm solid #a1121f; padding: 4mm; color: #a1121f; font-size: 12pt; }
        .grade { border: 0.6mm solid #1d2326; padding: 3mm 4mm; margin: 4mm 0 0; }
        .grade strong { font-size: 15pt; }
        .draft { color: #a1121f; }
    </style>
</head>
<body>
@endif
<p class="quiet">{{ $sheet->shop }}</p>
<h1>{{ $sheet->title() }}</h1>
<p><strong>{{ $sheet->family }}</strong> · tag <span class="fig">{{ $sheet->tag }}</span>
@if ($sheet->serial) · serial <span class="fig">{{ $sheet->serial }}</span> @endif
@if ($sheet->hours !== null) · {{ $sheet->hoursAbout ? 'about ' : '' }}<span class="fig">{{ $whole($sheet->hours) }}</span> print hours @endif</p>
<p class="quiet">@if ($sheet->signedOut === null)<strong class="draft">Draft: not signed out yet.</strong> @endif Came in {{ $day($sheet->cameIn) }}@if ($sheet->signedOut), signed out {{ $day($sheet->signedOut) }}@endif.</p>

@if ($sheet->danger)
<h2>The danger</h2>
<p class="danger"><strong>Do not switch it on.</strong><br>{{ $sheet->danger }}</p>
@endif

@if ($sheet->condition)
<div class="grade">
    <p><strong>{{ $sheet->grade()?->words() }}</strong></p>
    <p>{{ $sheet->grade()?->means() }}</p>
    @if ($sheet->condition['because'])
    <ul>@foreach ($sheet->condition['because'] as $because)<li>{{ $because }}</li>@endforeach</ul>
    @endif
</div>
@endif

@if ($sheet->complaint)
<h2>What was complained of</h2>
<p>{{ $sheet->complaint }}</p>
@endif

@if ($sheet->found)
<h2>What was found</h2>
<ul>@foreach ($sheet->found as $found)<li>{{ $found }}</li>@endforeach</ul>
@endif

@if ($sheet->done || $sheet->replaced)
<h2>What was done</h2>
<ul>
@foreach ($sheet->done as $done)<li>{{ $done }}</li>@endforeach
@foreach ($sheet->replaced as $new)<li>New in {{ $new['position'] }}: {{ $new['part'] }}</li>@endforeach
</ul>
@endif

@if ($sheet->readings)
<h2>What was measured</h2>
<table>
<tr><th>&nbsp;</th><th class="right">before</th><th class="right">after</th></tr>
@foreach ($sheet->readings as $reading)
<tr><td>{{ $reading['name'] }}</td><td class="fig right">{{ $reading['before'] ?: '–' }}</td><td class="fig right">{{ $reading['after'] ?: '–' }}</td></tr>
@endforeach
</table>
@endif

@if ($sheet->proofs)
<h2>What it has proved</h2>
<table>
@foreach ($sheet->proofs as $proof)
<tr><td>{{ $proof['waived'] === null ? '✓' : '–' }} {{ $proof['name'] }}@if ($proof['waived'] !== null) <span class="quiet">not proved: {{ $proof['waived'] }}</span>@endif @if ($proof['limits'])<span class="quiet"> allowed: {{ $proof['limits'] }}</span>@endif</td><td class="fig right one">{{ $proof['value'] }}</td></tr>
@endforeach
</table>
@endif

@if ($sheet->condition && $sheet->condition['positions'])
<h2>Wearing parts</h2>
<table>
<tr><th>&nbsp;</th><th>in it</th><th class="right">has run</th><th class="right">usual life</th></tr>
@foreach ($sheet->condition['positions'] as $position)
<tr><td>{{ $position['name'] }}</td><td class="quiet">{{ $position['part'] ?? 'the first one' }}</td><td class="fig right">{{ $whole($position['hours']) }}{{ $position['hours'] === null ? '' : ' h' }}</td><td class="fig right">{{ $whole($position['life']) }} h</td></tr>
@endforeach
</table>
@endif

@if ($sheet->condition && count($sheet->condition['visits']) > 0)
<h2>Its visits to this bench</h2>
<table>
@foreach ($sheet->condition['visits'] as $visit)
<tr><td class="quiet">{{ $day($visit['at']) }}</td><td>{{ $visit['faults'] ? implode(', ', $visit['faults']) : 'nothing was wrong' }}</td></tr>
@endforeach
</table>
@endif

@if ($sheet->warranty)
<h2>Warranty of the repair</h2>
<p>Until <strong>{{ $day($sheet->warranty['until']) }}</strong>@if ($sheet->warranty['hours'] !== null), or <span class="fig">{{ $whole($sheet->warranty['hours']) }}</span> print hours on its counter, whichever comes first @endif. If it comes back with the same fault ({{ implode(', ', $sheet->warranty['faults']) }}), it is mended again without charge.</p>
@elseif ($sheet->kind !== 'danger' && $sheet->signedOut !== null && $sheet->found && $sheet->done)
<p class="quiet">No warranty of the repair was agreed.</p>
@endif

@if ($sheet->note)
<h2>To know</h2>
<p>{{ $sheet->note }}</p>
@endif
@if ($pdf)
</body>
</html>
@endif
