<!DOCTYPE html>
<html>
<head>
<meta charset="utf-8">
<style>
    @font-face { font-family: Hyperlegible; font-weight: normal; src: url("{{ $fonts }}/atkinson-hyperlegible-next-400.ttf") format("truetype"); }
    @font-face { font-family: Hyperlegible; font-weight: bold; src: url("{{ $fonts }}/atkinson-hyperlegible-next-700.ttf") format("truetype"); }
    @page { margin: 3mm; }
    body { font-family: Hyperlegible; font-size: 5.4pt; line-height: 1.12; color: #000; margin: 0; }
    h1 { font-size: 12pt; line-height: 1; margin: 0 0 1mm; }
    p { margin: 0 0 .9mm; }
    .small { font-size: 5pt; }
    table { width: 100%; border-collapse: collapse; border-top: .4pt solid #000; border-bottom: .4pt solid #000; margin-bottom: 1mm; }
    td { padding: .5mm 2mm .5mm 0; vertical-align: top; }
</style>
</head>
<body>
    <h1>{{ mb_strimwidth($label['name'], 0, 60, '…') }}</h1>
    <table><tr>
        <td><b>{{ $label['net'] ?? rtrim(rtrim(number_format($label['net_grams'], 1), '0'), '.').' g net' }}</b></td>
        <td>Lot <b>{{ $label['lot'] }}</b></td>
        <td>Best before <b>{{ $label['best_before'] ?? 'not known' }}</b></td>
        @if (isset($label['opened']) || isset($label['opened_months']))
            <td>Once opened <b>{{ $label['opened'] ?? $label['opened_months'].' M' }}</b></td>
        @endif
    </tr></table>
    @if (($label['store'] ?? '') !== '')
        <p><b>{{ $label['store'] }}</b></p>
    @endif
    <p>{{ $label['directions'] }}</p>
    <p class="small"><b>Ingredients:</b> {{ $label['ingredients'] }}.</p>
    @if ($label['contains'] !== [])
        <p><b>Contains: {{ implode(', ', $label['contains']) }}.</b></p>
    @endif
    <p class="small">{{ implode(' ', $label['cautions']) }}</p>
    @if ($label['maker'] !== '')
        <p class="small">{{ $label['maker'] }}</p>
    @endif
</body>
</html>
