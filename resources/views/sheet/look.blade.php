{{-- Letters of ours first; those that they do not have come from the writer's own. --}}
<style>
    @page { margin: 11mm 13mm; }
    body { font-family: figtree, 'figtree more', 'DejaVu Sans', sans-serif; font-size: 9pt; color: #24302f; line-height: 1.22; margin: 0; }
    h1, h2 { font-family: literata, 'literata more', 'DejaVu Serif', serif; margin: 0; line-height: 1.1; }
    h1 { font-size: 15pt; }
    h2 { font-size: 12.5pt; }
    p { margin: 0 0 1mm; }
    table { border-collapse: collapse; width: 100%; }
    td { vertical-align: top; padding: 0; }
    .right { text-align: right; }
    .muted { color: #596159; }
    .head td, .title td { vertical-align: bottom; }
    .item { border-top: 0.3mm solid #24302f; padding-top: 2mm; margin-top: 2.5mm; page-break-inside: avoid; }
    .boxed { border: 0.5mm solid #1f5a57; padding: 2.5mm 3mm; margin-top: 3.5mm; page-break-inside: avoid; }
    .box-title { color: #1f5a57; font-weight: bold; margin: 0 0 1mm; }
    .place { width: 43%; padding-right: 6mm; }
    .way { width: 57%; }
    .half { width: 50%; padding-right: 5mm; }
    img { width: 74mm; margin: 1.5mm 0; }
    .told { margin: 0 0 0.7mm; }
    .grid { margin-top: 2mm; }
    .grid td, .grid th { border: 0.2mm solid #8b8672; height: 5.4mm; text-align: center; vertical-align: middle; font-size: 7.5pt; font-weight: normal; line-height: 1; padding: 0; }
    .grid th.when { text-align: left; padding: 0 1mm; width: 40mm; }
    .grid th.day { width: 9.6mm; }
    .grid .off { background: #eee7d6; }
    .foot { border-top: 0.3mm solid #24302f; margin-top: 3mm; padding-top: 2mm; page-break-inside: avoid; font-size: 8.5pt; }
    @if ($paper === \App\Paper\Paper::Large)
    body { font-size: 17pt; }
    h1 { font-size: 24pt; }
    h2 { font-size: 21pt; }
    p, .told { margin-bottom: 3mm; }
    img { width: 160mm; }
    .item, .boxed, .foot { page-break-inside: auto; }
    .foot { font-size: 17pt; }
    .grid { page-break-inside: avoid; }
    .grid td, .grid th { font-size: 13pt; height: 11mm; }
    .grid th.when { width: 46mm; font-size: 14pt; }
    .grid th.day { width: 9mm; }
    .told, img { page-break-inside: avoid; }
    .boxed { border-width: 1mm 0; padding: 2.5mm 0; }
    @elseif ($paper === \App\Paper\Paper::Fold)
    @page { margin: 9mm 10mm; }
    h1 { font-size: 14pt; }
    img { width: 100mm; }
    .grid th.when { width: 30mm; }
    .grid th.day { width: 6.4mm; }
    @endif
</style>
