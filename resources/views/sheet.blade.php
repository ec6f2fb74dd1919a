<!DOCTYPE html>
<html>
<head>
<meta charset="utf-8">
<style>
    @font-face { font-family: Hyperlegible; font-weight: normal; src: url("{{ $fonts }}/atkinson-hyperlegible-next-400.ttf") format("truetype"); }
    @font-face { font-family: Hyperlegible; font-weight: bold; src: url("{{ $fonts }}/atkinson-hyperlegible-next-700.ttf") format("truetype"); }
    @page { margin: 16mm 18mm; }
    body { font-family: Hyperlegible; font-size: 10pt; line-height: 1.3; color: #000; margin: 0; }
    h1 { font-size: 20pt; line-height: 1.05; margin: 0 0 1mm; }
    h2 { font-size: 11.5pt; margin: 6mm 0 1.5mm; }
    p { margin: 0 0 1.5mm; }
    .quiet { color: #444; font-size: 8.5pt; }
    table { width: 100%; border-collapse: collapse; margin-top: 4mm; }
    th { text-align: left; font-weight: normal; font-size: 8.5pt; color: #444; border-bottom: .6pt solid #000; padding: 0 0 1mm; }
    td { padding: 1.2mm 0; border-bottom: .3pt solid #999; vertical-align: top; }
    .n { text-align: right; padding-left: 4mm; white-space: nowrap; }
    .all td { font-weight: bold; border-bottom: none; }
    ol { margin: 0; padding-left: 6mm; }
    li { margin-bottom: 1mm; }
</style>
</head>
<body>
    <h1>{{ $sheet['title'] }}</h1>
    <p class="quiet">{{ $formula->kind->label() }}, {{ lcfirst($formula->audience->label()) }}. {{ $studio }}, printed {{ $printed }}.</p>
    <table>
        <tr><th>Ingredient</th><th>Goes in</th><th>Without a scale</th><th class="n">Grams</th><th class="n">Share, %</th></tr>
        @foreach ($sheet['lines'] as $line)
            <tr>
                <td>{{ $line['name'] }}@if ($line['form'] !== '' && count($line['forms']) > 1), {{ $line['form'] }}@endif</td>
                <td>{{ $line['phase'] }}</td>
                @if ($line['problem'] === '')
                    <td>{{ $spoons[$line['id']] ?? '' }}</td>
                    <td class="n">{{ number_format($line['grams']->best, 1) }}</td>
                    <td class="n">{{ number_format($line['shown_percent'], 1) }}</td>
                @else
                    <td colspan="3">{{ $line['amount'] }}: {{ $line['problem'] }}</td>
                @endif
            </tr>
        @endforeach
        @if ($sheet['total_grams']->best > 0)
            <tr class="all"><td colspan="3">In all</td><td class="n">{{ number_format($sheet['total_grams']->best, 1) }}</td><td class="n">100.0</td></tr>
        @endif
    </table>
    @if ($steps !== [])
        <h2>Method</h2>
        <ol>@foreach ($steps as $step)<li>{{ $step }}</li>@endforeach</ol>
    @endif
    @if ($sheet['total_grams']->best > 0)
        <h2>What it is</h2>
        <p>{{ $sheet['texture_known'] ? 'At 25 °C '.$sheet['texture_label'].', estimated.' : 'Texture: cannot tell.' }} {{ ucfirst($sheet['water_label']) }}.
        Keeps about {{ number_format($life->months->best, 0) }} months ({{ number_format($life->months->low, 0) }} to {{ number_format($life->months->high, 0) }}), estimated, at {{ $formula->storageCelsius }} °C.</p>
    @endif
    @php($said = array_filter($sheet['findings'], fn ($f) => $f['severity'] !== 'note'))
    @if ($said !== [])
        <h2>What was said of it</h2>
        @foreach ($said as $finding)
            <p><b>{{ $finding['severity'] === 'stop' ? 'Stop' : 'Caution' }}.</b> {{ $finding['message'] }}@if ($finding['accepted'] !== '') <i>Accepted: {{ $finding['accepted'] }}</i>@endif</p>
        @endforeach
    @endif
    @if (trim($formula->notes) !== '')
        <h2>Notes</h2>
        <p>{!! nl2br(e($formula->notes)) !!}</p>
    @endif
    <p class="quiet" style="margin-top: 6mm">Hot oil and glass burn: never leave oil on the heat, warm jars slowly. Patch test before the first use. Selling is subject to local law, which is yours to check first.</p>
</body>
</html>
