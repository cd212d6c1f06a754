<style>
@page { margin: 20mm 18mm }
body { font: 10pt 'DejaVu Sans', sans-serif; color: #1E2528; margin: 0 }
h1 { font-size: 15pt; margin: 0 0 2mm }
p { margin: 0 0 3mm }
table { width: 100%; border-collapse: collapse; margin: 6mm 0 }
th { text-align: left; font-weight: normal; color: #5A6468; font-size: 8.5pt }
th, td { padding: 1.6mm 2mm 1.6mm 0; border-bottom: 0.2mm solid #D5D0C3; vertical-align: top }
.n { text-align: right; white-space: nowrap }
.quiet { color: #5A6468 }
</style>
