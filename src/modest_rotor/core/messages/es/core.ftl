balance-curves-found-rpm = como se encontró, { $speed } rpm
balance-system-put-right = sistema, reparado
balance-waits-machine-s = La curva de la máquina { $why }.
balance-waits-system-s = La curva del sistema espera una presión estática y el caudal con ella.
balance-waits-flow-relative = El caudal es relativo al encontrado: no se midió caudal.
balance-waits-pressure-relative = La presión es relativa a la encontrada: no se midió ninguna.
core-catalogue-refusals = le falta { $lacking }
core-catalogue-efficiencies-efficiency-impossible = el rendimiento { $name } de { $entry } % es imposible
core-catalogue-efficiencies-guarantees-more = garantiza el { $least } %, más que su nominal de { $nominal } %
core-catalogue-plate = da { $in_both_units } de { $apparent } VA: está mal potencia, tensión, amperios o rendimiento
core-catalogue-curve-row-curve = a la fila { $row } de su curva le falta caudal, presión o potencia en el eje
core-catalogue-curve-row-curve-does = la fila { $row } de su curva no da más caudal que la anterior
core-catalogue-curve-row-curve-gives = la fila { $row } de su curva da más de lo que toma su eje: una columna está en otra unidad
changes-with-change-machine-needs = Una máquina necesita un nombre; se conserva el que tenía.
changes-with-change-kept = { $label_of } se conserva como estaba: { $reason }.
changes-without-item = El elemento «{ $item_id }» ya no está; quizá alguien lo quitó.
changes-owner-job-place = Un trabajo no tiene un lugar llamado «{ $path }».
changes-walk-item-there = El elemento «{ $step }» ya no está; quizá alguien lo quitó.
changes-walk-job-place = Un trabajo no tiene un lugar llamado «{ $steps }».
economy-heat-and-cold = Las horas de calor y de frío son partes de las mismas horas: { $heated_share } y { $cooled_share } son más que todas. Se conservan ambas; acorte una.
economy-present-worth-factor-life-years = Una vida de cero años no ahorra nada: escriba los años que se espera que duren máquina y motor.
economy-present-worth-factor-discount-rate = Una tasa de descuento menor que cero haría el dinero posterior más valioso que el de hoy; escriba cero o más.
entry-these = de 1
entry-read-entry-takes-most = { $start } admite como máximo { $longest_typed } caracteres. { $example }
entry-read-entry-runs-downward = «{ $typed }» va hacia abajo. Un intervalo se escribe de menor a mayor, por ejemplo 208-230 V.
entry-from-data-text-unit = { $start } es texto con su unidad, o un objeto con «typed» y «unit».
entry-from-data-inside-but = «{ $typed }» { $unit } es { $entry } por dentro, pero el archivo dice { $said }. Deje uno de ellos.
entry-whole = { $start } contiene medio carácter, que no se puede guardar; escríbalo otra vez.
entry-refuse-unreadable-must-finite = { $start } debe ser un número finito. { $example }
entry-refuse-unreadable-cannot-read = «{ $typed }» no se puede leer como { $what }. { $example }
entry-unit-unit = «{ $spelling }» es una unidad de { $other }
entry-unit-unit-known = «{ $spelling }» no es una unidad conocida aquí
entry-unit-kept-typed = «{ $typed }» se conserva como se escribió: { $means }. { $start } admite { $unit_list }.
entry-unit-needs-unit = «{ $typed }» necesita su unidad: { $what } admite { $unit_list }.
entry-of-one-or-asked-did-you = {" "}¿Quiso decir { $value } %?
entry-of-one-or-asked-kept-typed = «{ $typed }» se conserva como se escribió: { $what } por debajo de { $least } % no lo tiene ninguna práctica.{ $meant } Escríbalo en tanto por ciento, por ejemplo { $least_2 } %, o como fracción, 0,6.
entry-refuse-outside-lies-below = {" "}Está por debajo de la presión del local: escríbalo con un menos.
entry-refuse-outside-did-you = {" "}¿Quiso decir { $symbol }?
entry-refuse-outside-kept-typed = «{ $typed }» se conserva como se escribió: { $what } está entre { $low } y { $high }{ $named }.{ $hint }
entry-one-meant = «{ $typed }» se conserva como se escribió: puede ser { $first } o { $second } { $symbol }. Escríbalo sin marca de miles, { $first } o { $second_2 }; o diga una vez cómo se escriben los números en este emplazamiento.
entry-unit-list = un número solo
entry-example = Escriba un número, con unidad o sin ella ({ $unit_list }); un número solo se toma como { $symbol }.
first-year-of-there-template = No hay plantilla llamada «{ $building }».
first-year-of-assumed = { $building }, supuesto
next-step-plate-order-rated-power = Potencia nominal de la placa.
next-step-plate-order-load-losses = Carga y pérdidas se dicen como partes de ella.
next-step-plate-order-one-phase = Una fase o tres.
next-step-plate-order-settles-kind = Fija la clase de motor.
next-step-plate-order-hertz-off = Hercios de la placa, o de la red.
next-step-plate-order-speed-gives = Con la velocidad da los polos.
next-step-plate-order-rated-speed = Velocidad nominal de la placa.
next-step-plate-order-gives-poles = Da polos, deslizamiento y par.
next-step-plate-order-rated-volts = Tensión nominal de la placa.
next-step-plate-order-load-slip = La carga por deslizamiento y por amperios se corrige con ellos.
next-step-plate-order-full-load = Amperios a plena carga de la placa.
next-step-plate-order-they-give = Dan la carga por amperios, y un mínimo del rendimiento.
next-step-flow-words-share-full = Parte del caudal pleno
next-step-flow-words-share-wanted = Parte del caudal deseado
next-step-flow-words-flow = El caudal
next-step-flow-words-tap = La toma
next-step-call-say-why = Diga por qué estamos aquí.
next-step-call-dead-motor = Un motor muerto no necesita lecturas en marcha.
next-step-call-ask-whether = Pregunte si es un servicio protegido.
next-step-call-if-lower = Si lo es, no se propone un caudal menor.
next-step-call-documented-least = El caudal mínimo documentado.
next-step-call-until-recorded = Hasta que conste, no se propone nada por debajo del caudal encontrado.
next-step-plate-microfarads-run = Microfaradios del condensador de marcha, si lo hay.
next-step-plate-tells-capacitor = Distingue un motor con condensador de otras clases.
next-step-readings-what-motor = Qué mueve el motor.
next-step-readings-kind-wheel = La clase de rodete fija la forma de su curva.
next-step-readings-add-set = Añada una serie de lecturas en el ajuste pleno.
next-step-readings-volts-amps = Voltios y amperios, en marcha, bastan para empezar.
next-step-readings-volts-motor = Voltios en el motor, en marcha.
next-step-readings-they-correct = Corrigen la carga por deslizamiento y por amperios.
next-step-readings-line-amps = Amperios de línea, un conductor en la pinza.
next-step-readings-they-give = Dan la carga por amperios.
next-step-readings-speed-tachometer = Velocidad, con el tacómetro.
next-step-readings-gives-slip = Da deslizamiento y carga por deslizamiento.
next-step-fan-side-pressure-across = Presión en la bomba.
next-step-fan-side-static-pressure = Presión estática a ambos lados del ventilador.
next-step-fan-side-puts-balance = Pone el balance sobre ejes verdaderos.
next-step-fan-side-water-flow = Caudal de agua, si se puede medir.
next-step-fan-side-airflow-if = Caudal de aire, si se puede medir.
next-step-with-watts-true-watts = Vatios verdaderos, de un vatímetro.
next-step-with-watts-best-single = La mejor lectura suelta de la carga; voltios × amperios no son vatios.
next-step-with-watts-narrows-shaft = Estrecha la potencia en el eje.
next-step-duty-add-step = Añada una etapa del año: sus horas y su parte del caudal pleno.
next-step-duty-energy-waits = La energía espera horas.
next-step-duty-step = la etapa
next-step-duty-hours-year = Horas al año de { $named }.
next-step-duty-energy-waits-2 = La energía lo espera.
next-step-duty-of = { $flow_words } de { $named }.
next-step-duty-how-part = Cómo se cumple hoy el caudal parcial.
next-step-duty-decides-what = Decide lo que la máquina de hoy consume ahí.
next-step-duty-static-lift = Altura estática de la bomba.
next-step-duty-lift-slowing = Con altura, frenar la bomba ahorra mucho menos.
next-step-duty-what-kilowatt = Lo que cuesta un kilovatio-hora.
next-step-options-nothing-can = Aún no se puede comparar nada.
next-step-options-for = Para { $letter }: { $question }
next-step-options-what-costs = Lo que cuesta { $letter }, { $option }.
next-step-options-payback-waits = El retorno lo espera.
next-step-decision-choose-option = Elija una opción.
next-step-decision-report-says = El informe dice que aún no se eligió nada.
next-step-decision-say-why = Diga por qué.
next-step-decision-customer-reads = El cliente lo lee primero.
next-step-setup-step = Paso { $number }: { $do }
next-step-proof-read-machine = Lea la máquina como está ajustada ahora: una serie marcada «después».
next-step-proof-without-nothing = Sin ello no se prueba nada.
next-step-proof-read-after = Lea «{ $step }» después: vatios en la línea, y caudal.
next-step-proof-only-true = Solo vatios verdaderos prueban un ahorro.
core-nodes-other-motor-another-motor = otro motor
core-nodes-other-motor-motor-fitted = el motor que se ajustó no es el de la placa
numerals = «{ $text }» divide por cero.
numerals-plain-mixes-points = «{ $text }» mezcla puntos y comas de modo que no es un número.
numerals-plain-marks-where = «{ $text }» tiene marcas donde ningún número las tiene.
numerals-numeral = «{ $text }» no es un número finito.
numerals-span-told = un momento
quantities-quantity = No hay ninguna magnitud llamada «{ $name }».
rail-tell-on-board = nada: continúa en el registro
rail-findings-all-settled = todos los { $own } resueltos
rail-findings-nothing-found = no se encontró nada
rail-call-waits-why = espera por qué estamos aquí
rail-call-protected-duty = { $reason }; servicio protegido
rail-call-protected-duty-asked = { $reason }; servicio protegido aún sin preguntar
rail-plate-pole = { $poles } polos
rail-plate-waits-plate = espera una placa
rail-readings-none-needed = ninguna necesaria: el motor está muerto
rail-readings-set = { $taken ->
        [one] { $taken } serie
       *[other] { $taken } series
    }
rail-readings-moves = { $count }; mueve { $figure }
rail-readings-load = { $count }; carga { $load }
rail-duty-waits-hours = espera horas al año
rail-duty-waits-hours-do = espera: las horas aún no hacen un año
rail-duty-step = { $hours } { $count ->
        [0] en ninguna etapa
        [1] en una etapa
        [2] en dos etapas
        [3] en tres etapas
        [4] en cuatro etapas
        [5] en cinco etapas
        [6] en seis etapas
        [7] en siete etapas
        [8] en ocho etapas
        [9] en nueve etapas
       *[other] en { $count } etapas
    }
rail-options-stopped = ; detenidas: { $stopped }
rail-options-considered = { $options } consideradas
rail-options-year = { $saving } al año{ $stops }
rail-options-waits-duty = espera Servicio
rail-saving = { $letter } ahorra { $saved }
rail-tell-saving = probado: ahorra { $figure }
rail-decision-waits-choice = espera una elección
rail-decision-chosen-but = { $letter } elegida, pero parada
rail-decision-reason-said = ; su razón no se dijo
rail-way-step = paso { $number } de { $steps }
rail-way-way-follow = un procedimiento que seguir
rail-setup-stop-cleared = { $count ->
        [one] { $count } alto sin levantar
       *[other] { $count } altos sin levantar
    }
rail-setup-steps-signed = { $done } de { $whole } pasos firmados
rail-setup-all-steps = los { $whole } pasos firmados
rail-proof-held-up = detenida: Puesta a punto está parada
rail-proof-saves = ahorra { $figure }, { $verdict }
rail-proof-waits-watts = espera vatios de después
rail-headline-set-up = Puesta a punto está parada. { $stops }
rail-headline-proved-saves = Probado: ahorra { $figure } al año, { $verdict }.
rail-headline-dead = Muerto: { $way }{ $verdict }
rail-headline-moves = Mueve { $figure };{" "}
rail-headline-option-would = la opción { $letter }, { $told_option }, ahorraría{" "}
rail-headline-year = { $moved }{ $named }{ $figure } al año.
rail-headline-only-name = Solo se conoce su nombre.
core-report-simulated = Las incertidumbres abarcan el 95 %. Se probaron en máquinas simuladas, muchas de las cuales no comparten ecuación con las usadas aquí; las reales pueden apartarse más.
core-report-no-choice = Aún no se recomienda nada: las opciones de abajo se comparan, no se eligió ninguna.
core-report-machine-serves = Sirve
core-report-machine-moves-air = Mueve aire o agua con
core-report-machine-kind-motor = Clase de motor
core-report-machine-rated-power = Potencia nominal
core-report-machine-full-load = Amperios a plena carga
core-report-machine-rated-speed = Velocidad nominal
core-report-machine-readings-steps = { $machines }; lecturas y etapas son de una, años y dinero de todas
core-report-machine-machines-alike = Máquinas iguales
core-report-machine-protected-duty = Servicio protegido
core-report-found = { $severity }: { $one } { $action }
core-report-line = nada ahora
core-report-recommendation-stopped-nothing = Está parada: { $stop } No se promete nada para ella.
core-report-recommendation-expected-save = Se espera que ahorre { $figure } de electricidad al año frente a { $against }.
core-report-recommendation-money-year = En dinero, { $figure } al año.
core-report-recommendation-pays-itself = Se paga en { $figure }, por retorno simple{ $on }.
core-report-recommendation-heat-old = Calor que daba el motor viejo y hay que reponer: { $figure } al año.
core-report-recommendation-cooling-saved = Refrigeración que se ahorra además: { $figure } al año.
core-report-recommendation-what-would = Lo que más estrecharía esto: { $narrow }
core-report-recommendation-left-open = Queda abierto: { $left_open }
core-report-approvals-stop-answers = Alto «{ $check }» de { $get }: { $who } responde por ello, { $reason }
core-report-approvals-removed-option = una opción quitada
core-report-cautions-x = { $severity }: { $one } { $action }
core-report-cautions-x-2 = { $question } { $one }
report-proof-line-x = { $flow },{" "}
report-summary-nothing-found = No se encontró nada mal en la propia máquina.
report-summary-bands = El ± y los intervalos: en ensayos simulados 95 de 100 máquinas quedaron dentro. Las reales pueden apartarse más.
report-summary-prices = Que los precios de la energía, las horas de marcha y el edificio sigan como se tomaron aquí.
report-summary-heat = Calor que el motor viejo daba al aire o al agua: donde hacía falta, hay que producirlo de otro modo.
report-summary-protected = Ningún caudal menor que el que protege a las personas y los bienes de aquí: no nos toca cambiarlo.
report-summary-found = Y { $most_told } más, en la página siguiente.
report-summary-figures-saved-year = ahorrado al año, probado
report-summary-figures-energy-per = energía al año, antes
report-summary-figures-energy-per-year = energía al año, después
report-summary-figures-saves-year = ahorra al año
report-summary-figures-saves-year-money = ahorra al año, dinero
report-summary-figures-simple-payback = retorno simple{ $what_costs }
report-summary-figures-costs-fitted = cuesta, montado
report-summary-rests-on-to = , de { $days } a { $days_2 }
report-summary-rests-on-measured-machine = { $sets ->
        [one] Medido en la máquina: { $sets } serie de lecturas{ $when }.
       *[other] Medido en la máquina: { $sets } series de lecturas{ $when }.
    }
report-summary-rests-on-nothing-measured = No se midió nada en la máquina en marcha: placa y motores típicos la representan.
report-summary-rests-on-taken-usual = Tomado como usual, no medido: { $assumed }{ $more }.
report-summary-rests-on-more = {" "}y más
short-moves-wanted = deseado { $target }
short-takes-plate = { $judged }, placa { $rated_current }
short-costs-costs-year = cuesta al año
short-costs-waits-machine = espera la máquina y sus horas
short-costs-energy-per = energía al año
core-statements-statements = respuesta por un alto
core-statements-named = { $what } por una persona: diga quién es, arriba de la página. No se guardó nada.
core-statements-mark-finding-finding-there = Ese hallazgo ya no está: una lectura en que se apoyaba ha cambiado.
core-statements-mark-finding-finding = un hallazgo { $state }
core-statements-answer-for-stop-stop-there = Ese alto ya no está: algo en que se apoyaba ha cambiado.
core-statements-answer-for-stop-nobody-can = { $question } Nadie puede responder por esto.
core-statements-answer-for-stop-stop-answered = Por un alto se responde con un nombre y una razón; no se guardó nada.
core-statements-answer-for-stop-answers-stop = { $name } responde por un alto
core-statements-record-approval-approval-says = Una aprobación dice de qué es y quién la dio; no se guardó nada.
core-statements-record-approval-approval-recorded = Una aprobación se registra
core-statements-record-approval-approval-recorded-2 = aprobación de { $strip } registrada
core-statements-sign-step-step-there = Ese paso ya no está.
core-statements-sign-step-step-signed = Un paso se firma
core-statements-sign-step-signed-step = { $who } firmó este paso entretanto: { $state }. Mírelo, y firme otra vez si aún lo quiere.
core-statements-sign-step-nothing-signed = { $refusal } No se firmó nada.
core-statements-sign-step-step-signed-2 = paso { $number } firmado: { $state }
core-statements-withdraw-job-statements = Un trabajo no tiene declaraciones llamadas «{ $path }».
core-statements-withdraw-earlier-withdrawn = Una anterior ({ $statements }) se retira
core-statements-withdraw-what-said = Lo dicho se retira con una razón; no se guardó nada.
core-statements-withdraw-there = Esa declaración ({ $statements }) no está.
core-statements-withdraw-withdrew-meanwhile = { $said } lo retiró entretanto.
core-statements-withdraw-withdrawn = { $statements } retirada por { $who }
core-statements-refuse-statements = Lo que alguien dice con su nombre ({ $name }) no es un campo que se edita: se dice, y se retira, con su propio botón. No se cambió nada.
withheld-of-fault = un fallo de este programa, que quedó anotado.
withheld-everything = todo lo que se escribió
withheld-sentence = { $self_ }{ $said } se conserva, pero con ello no se puede calcular nada: { $reason } Léalo otra vez o déjelo vacío.
withheld-label = { $label } de la serie { $number }
rail-decision = { $letter }, { $title }{ $reason }
rail-findings-count = { $severity ->
        [stop] { $count ->
            [one] { $count } alto
           *[other] { $count } altos
        }
        [caution] { $count ->
            [one] { $count } precaución
           *[other] { $count } precauciones
        }
       *[note] { $count ->
            [one] { $count } nota
           *[other] { $count } notas
        }
    }
next-step-because = { $why }.
core-report-amps = amperios
core-report-watts = vatios
core-report-of-set = { $name }: { $label }
core-report-chosen = { $letter }, { $title }.{ $why }
core-report-approval = { $of }: { $who }{ $rest }
core-report-nobody = nadie nombrado
short-moves = mueve
short-takes = consume
core-report-years-left = años que le quedan a la máquina
core-report-discount = tasa de descuento, 5 %
core-report-hours-of = horas de { $step }
core-report-worked = { $letter }, { $title }: { $label }
report-proof-option = { $letter }, { $title }
error-sources-set = serie { $number }

## core/unfit.py
unfit-missing = falta
unfit-no-such-place = no hay tal campo
unfit-none-of-the-answers = no es ninguna de sus respuestas
unfit-too-long = caben { $max_length } como máximo
unfit-too-short = requiere al menos { $min_length }
unfit-string-too-long = caben { $max_length } caracteres como máximo
unfit-string-too-short = requiere al menos { $min_length ->
    [one] un carácter
   *[other] { $min_length } caracteres
 }
unfit-text = requiere un texto
unfit-whole-number = requiere un número entero
unfit-number = requiere un número
unfit-yes-or-no = requiere sí o no
unfit-greater-than = debe ser mayor que { $gt }
unfit-at-least = debe ser { $ge } o más
unfit-less-than = debe ser menor que { $lt }
unfit-at-most = debe ser { $le } o menos
unfit-list = requiere una lista
unfit-fields = requiere campos con sus valores
unfit-json = no es JSON
unfit-day = requiere un día, como 2026-03-01
unfit-moment = requiere un día y una hora, como 2026-03-01T14:30:00Z
unfit-other-form = tiene otra forma

## core/entry.py, core/job.py, core/stations, core/tables: what their models refuse
entry-not-finite = una entrada solo contiene números finitos
job-id-twice = dos elementos de una lista tienen el mismo identificador
sheet-null-character = el texto contiene un carácter nulo, que no puede guardarse; escríbalo sin él
sheet-half-character = el texto contiene medio carácter, que no puede guardarse; escríbalo de nuevo
readings-no-such-reading = una serie no tiene ninguna lectura llamada «{ $name }»
readings-unread-twice = de una lectura se dice dos veces que está fuera de alcance; dígalo una vez
readings-two-frequencies = una serie es una condición; dos frecuencias requieren dos series
readings-no-time = «{ $text }» no es una hora; escríbala como 2026-03-01 14:30
traits-signal-order = una señal sube: cero, luego el final de la banda muerta, luego el máximo
traits-floor-order = la frecuencia más baja de un variador está por debajo de la más alta
knobs-least-hertz = una alimentación tiene al menos { $least } Hz; 0 la deja como se construyó
tables-no-row = La tabla «{ $title }» no tiene fila para { $described }.
stations-duty-duty-currency-form = Tres letras, por ejemplo USD o EUR.
product-code-form = Letras minúsculas, cifras y guiones.

## core/quantities.py
quantities-both-units = { $first } ({ $other })
unit-days = días
unit-years = años
unit-per-kwh = por kWh
unit-litres-a-second-per-kilowatt = L/s por kW
unit-cubic-metres-an-hour-per-kilowatt = m³/h por kW

## core/stations: what is meant by a field
product-name-help = Qué es, sin la marca.
call-complaints-help = Todo lo que nombren.
decision-chosen-help = El identificador propio de la opción.
options-option-costs-repairs-help = Lo que dicen los Hallazgos; todo ahorro es frente a la máquina reparada.
