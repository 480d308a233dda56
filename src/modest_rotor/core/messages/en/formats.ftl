
## formats/catalogue_files.py

catalogue-files-read-catalogue-file-characters = The file has { $text } characters; a catalogue has at most { $largest_catalogue }. Nothing was written.
catalogue-files-read-catalogue-catalogue-nothing = This is no catalogue. Nothing was written.
catalogue-files-read-catalogue-file-entries = The file has { $rows } entries; a catalogue has at most { $most_products }. Nothing was written.
catalogue-files-checked = “{ $code_ }” stands in the file twice
catalogue-files-json-rows-cannot-read = This cannot be read as JSON: { $error }. Nothing was written.
catalogue-files-json-rows-catalogue-says = A catalogue says “format”: “{ $catalogue_format }” and holds a list of “products”. Nothing was written.
catalogue-files-csv-rows-catalogue-nothing = This is no catalogue. Nothing was written.
catalogue-files-csv-rows-head-catalogue = The head of a catalogue names code and type, and any of: { $columns }. Nothing was written.

## formats/cells.py

cells-rows-of-csv-nothing = This is no CSV: { $error }. Nothing was taken in.
cells-rows-of-row-cell = Row { $line } has a cell of more than { $longest } characters. Nothing was taken in.

## formats/clock.py

clock-zone-of = There is no time zone called “{ $name }”; name one like Europe/Lisbon, or none for UTC. Nothing was done.

## formats/hunts_csv.py

hunts-csv-hunt-result-who = who
hunts-csv-hunt-result-at = ended, UTC
hunts-csv-hunt-result-number = hunt
hunts-csv-hunt-result-level = level
hunts-csv-hunt-result-machine = machine
hunts-csv-hunt-result-ending = ending
hunts-csv-hunt-result-minutes = minutes spent
hunts-csv-hunt-result-budget = minutes given
hunts-csv-hunt-result-cheapest = minutes of the cheapest way
hunts-csv-hunt-result-hidden = hidden
hunts-csv-hunt-result-named = named
hunts-csv-hunt-result-next-step = next step named
hunts-csv-hunt-result-next-right = next step right
hunts-csv-hunt-result-acts = what was done, in order

## formats/job_archive.py

job-archive-read-archive-archive-jobs = An archive of jobs has at most { $largest_archive } MB. Nothing was taken in.
job-archive-read-archive-archive-holds = An archive holds at most { $most_jobs } jobs; this has { $files }. Nothing was taken in.
job-archive-read-archive-zip-archive = This is no ZIP archive that can be opened. Nothing was taken in.
job-archive-read-one-job-file = a job file has at most { $largest_job } MB
job-archive-read-one-text-utf = its text is not UTF-8
job-archive-read-one-nested-too = it is nested too deeply
job-archive-name-of-job = job
job-archive-name-of-json = { $base }.json
job-archive-name-of-json-2 = { $base }-{ $number }.json

## formats/job_file.py

job-file-read-job = This is not JSON: { $msg } in line { $lineno }.
job-file-job-from-data-job-file = A job file is a JSON object with “site”, “machine” and “document”.
job-file-job-from-data-file-says = The file says it is “{ $data }”; here “{ $format_name }” is read.
job-file-job-from-data-file-version = The file is of version { $data }; this program reads versions 1 to { $format_version }.
job-file-job-from-data-file-holds = The file holds no whole job: “{ $place }”: { $wrong }. Nothing was taken in.
job-file-job-schema = { $format_name }, version { $format_version }
job-file-refuse-constant = { $name } is no number that can be worked with; leave the value out if it was not read.

## formats/log_csv.py

log-csv-read-log-file-column-log = No column that the log holds was found among { $head }: say what each is. Nothing was taken in.
log-csv-read-log-file-two-columns = Two columns were taken for { $replace }: say which it is. Nothing was taken in.
log-csv-read-log-file-line = line { $line }
log-csv-read-log-file-rows-left = { $bad } rows left out, no time or no number in them: { $few }.
log-csv-read-log-file-values-left = { $outside } values left out: outside what such a reading can be. Look at their units.
log-csv-in-time-clock-jumps = The clock jumps back { $back } times: rows are put in the order of their times. Look whether it was set.
log-csv-in-time-rows-future = { $future } rows of the future left out: a clock runs ahead.
log-csv-in-time-rows-before = { $early } rows from before { $year } left out: a clock that was never set.
log-csv-in-time-rows-time = { $twice } rows with a time that was there already: the first of each is kept.

## formats/logger_csv.py

logger-csv-order-words-day-first = day first
logger-csv-order-words-month-first = month first
logger-csv-read-log-line = line { $line }
logger-csv-read-log-rows-left = { $bad } rows left out, no time or no number in them: { $few }.
logger-csv-read-log-only-rows = Only { $seconds } rows have a time and a number; { $fewest_rows } at the least are needed. Nothing was taken in.
logger-csv-read-log-gaps-h = { $gaps } gaps, { $sum } h together: counted neither as running nor as off.
logger-csv-table-of-file-characters = The file has { $text } characters; a log has at most { $largest_log }. Cut it to some weeks.
logger-csv-table-of-text-table = This is no text table. Nothing was taken in; save it as CSV first.
logger-csv-table-of-log-head = A log has a head and rows under it. Nothing was taken in.
logger-csv-table-of-log-most = A log has at most { $most_columns } columns. Nothing was taken in.
logger-csv-table-of-head-time = No head with a time and a value was found above the numbers. Nothing was taken in.
logger-csv-time-column-clocks-used = { $whole } clocks, { $value }: { $head } is used.
logger-csv-time-column-column-date = No column with date and time was found among { $head }. Nothing was taken in.
logger-csv-value-column-file-column = The file has no column “{ $column }”. It has { $head }.
logger-csv-value-column-column-numbers = No column of numbers was found among { $head }. Nothing was taken in.
logger-csv-time-reader-row-date = No row has a date and a time. Nothing was taken in.
logger-csv-time-reader-cannot-read = “{ $texts }” cannot be read as date and time. Nothing was taken in: save them as 2026-11-25 14:30.
logger-csv-time-reader-some-dates = Some dates have the day first and others the month: two clocks in one file. Nothing was taken in.
logger-csv-time-reader-could-day = “{ $texts }” could have the day first or the month first: say which. Nothing was taken in.
logger-csv-ordered-clock-put = The clock was put back { $once }: the hour is counted, not folded.
logger-csv-ordered-once = once
logger-csv-ordered-times = { $put_back } times
logger-csv-ordered-rows-time = { $twice } rows with a time that was there already: the first of each is kept.
logger-csv-ordered-rows-run = { $backwards } rows that run backwards in time were left out.

## formats/photo.py

photo-clean-photo-photograph-most = A photograph has at most { $largest_photo } MB; nothing was kept. Take it smaller.
photo-clean-photo-photograph-most-million = A photograph has at most { $most_pixels } million pixels, and this one has { $height }; nothing was kept. Take it smaller.
photo-clean-photo-photograph-jpeg = This is no photograph: JPEG, PNG and WebP are taken, by what is in the file. Nothing was kept.

## formats/readings_csv.py

readings-csv-propose-file-rows = The file has { $rows } rows; a job has room for { $room } more sets (of { $most_sets }). Nothing was taken in: keep the rows that belong to this machine.
readings-csv-propose-two-columns = Two columns are taken for “{ $title_of }”. Leave one of them out.
readings-csv-rows-file-lines = The file has { $lines } lines and { $text } characters; a table of readings has at most { $largest_csv }. Nothing was taken in: cut out the rows that belong to this machine.
readings-csv-rows-text-table = This is no text table. Nothing was taken in; save it as CSV first.
readings-csv-rows-table-head = A table has a head, at least one row and at most { $most_columns } columns. Nothing was taken in.
readings-csv-column-set-field = A set has no field called “{ $field }”.
readings-csv-column-unit = “{ $unit }” is no unit of { $title_of }.
readings-csv-set-row = The row
readings-csv-set-reading = No reading in it.

## formats/report_page_one.py

report-page-one-sign-here-customer = for the customer
report-page-one-sign-here-firm = for the firm
report-page-one-letterhead = revision { $revision }
report-page-one-page-one-what-found = What was found
report-page-one-page-one-what-proposed = What is proposed
report-page-one-page-one-what-rests = What that rests on
report-page-one-page-one-what-promised = What is not promised
report-page-one-figures = Held against { $against }.
report-page-one-bars = { $written } a year
report-page-one-signatures-signed-off = Signed off by { $signed }.
report-page-one-signatures-signed-off-2 = Not signed off.
report-page-one-signatures-name-day = { $who }: name, day

## formats/report_pdf.py

report-pdf-without-glyph-most = at most{" "}
report-pdf-without-glyph-least = at least{" "}
report-pdf-without-glyph-to = to{" "}
report-pdf-without-glyph-without-end = without end
report-pdf-without-glyph-goes = goes with
report-pdf-rows-may-fitted = May it be fitted?
report-pdf-rows-what-does = What does it move?
report-pdf-rows-what-does-draw = What does it draw there?
report-pdf-rows-energy-year = Energy a year
report-pdf-rows-saved-year = Saved a year
report-pdf-rows-saved-year-money = Saved a year, money
report-pdf-rows-cost-fitted = Cost fitted
report-pdf-rows-simple-payback = Simple payback
report-pdf-rows-present-value = Present value
report-pdf-rows-what-can = What can go wrong?
report-pdf-rows-how-soon = How soon?
report-pdf-write-pdf-motor-replacement = Motor replacement report
report-pdf-write-pdf-modest-rotor = Modest Rotor { $program_version }
report-pdf-running-lines-modest-rotor = Modest Rotor { $program_version } · job revision { $revision } · { $date }
report-pdf-running-lines-page = page { $getpagenumber }
report-pdf-story-motor-what = { $report }: which motor, and what it would save
report-pdf-story-for = for { $made_for }
report-pdf-story-by = by { $made_by }
report-pdf-story-stop-cleared = Stop, not cleared: { $one }
report-pdf-story-engineer = For the engineer
report-pdf-story-machine = The machine
report-pdf-story-what-measured = What was measured
report-pdf-story-what-found = What was found
report-pdf-story-approvals-record = Approvals on record
report-pdf-story-nothing-moves = nothing that moves the result
report-pdf-story-assumed-measured = Assumed, not measured
report-pdf-story-appendix-workings = Appendix: the workings
report-pdf-options-stop = Stop: { $text }
report-pdf-options-options = The options
report-pdf-options-options-continued = The options, continued
report-pdf-options-saved-against = Saved is against the baseline, which has no saving of its own. ± and ranges hold 95 %.
report-pdf-proof-heads-duty-step = Duty step
report-pdf-proof-heads-put-right = Repaired, same flow
report-pdf-proof-heads-flow-after = Flow after
report-pdf-proof-proof = Proof: { $option }
report-pdf-proof-saved-year = Saved a year, measured: { $saved }; promised for the same steps: { $promised }.
report-pdf-proof-signed-off = Signed off by { $signed }.
report-pdf-proof-signed-off-yet = Not signed off yet.
report-pdf-pictures-where-machine = Where the machine meets its system; letters are the options.
report-pdf-pictures-year-today = The year: today's watts as blocks, the choice dashed.
report-pdf-working = Source: { $source }

## formats/report_pictures.py

report-pictures-balance-picture-flow = flow, { $unit }
report-pictures-balance-picture-pressure = pressure, { $unit }
report-pictures-year-picture = hours of the year

## formats/report_sheet.py

report-sheet-write-xlsx = Duty steps
report-sheet-about-stands = stands on
report-sheet-about-job-revision = job revision
report-sheet-results-waits = waits for
report-sheet-results-known = not known
report-sheet-proof-heads-put-right = repaired, same flow
report-sheet-proof-heads-flow-after = flow after
report-sheet-proof = in words

## formats/signed_report.py

signed-report-as-shown = { $astimezone }, times in { $zone }

## formats/text.py

text-range-more = { $said } { $symbol } or more
text-range-to = { $said } to { $said_2 } { $symbol }
text-working = {"  "}Source: { $source }

## formats/visits_ics.py

visits-ics-write-visits = , due since { $due }
sheet-after = after
sheet-before = before
sheet-high = high
sheet-hours = hours
sheet-low = low
sheet-note = note
sheet-option = option
sheet-promised = promised
sheet-quantity = quantity
sheet-result = result
sheet-saved = saved
sheet-step = step
sheet-title = title
sheet-unit = unit
sheet-value = value
sheet-what = what
sheet-options = Options
sheet-proof = Proof
picture-watts = watts
report-pdf-head-hours = Hours
report-pdf-head-before = Before
report-pdf-head-after = After
report-pdf-head-promised = Promised
report-pdf-head-saved = Saved

## what models refuse
readings-csv-set-unfit = { $told }: { $reason }
catalogue-files-unfit = { $title }: { $reason }
catalogue-files-entry = the entry

## formats/report_sheet.py
sheet-current = current
sheet-power-factor = power factor
sheet-motor-efficiency = motor efficiency
sheet-whole-efficiency = overall efficiency
sheet-date = date
sheet-program = program
sheet-bands = uncertainties
sheet-verdict = verdict
sheet-besides = besides
report-pdf-sign-off = Sign-off
report-pdf-option = { $letter }  { $title }{ $chosen ->
    [yes] {" "}(chosen)
   *[no] {""}
 }
