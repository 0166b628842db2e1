/** Lo que una advertencia dice al abrirla. */
import type { cautionSays as english } from '../en/cautionSays.ts';
import type { Words } from '../words.ts';

export const cautionSays: Words<typeof english> = {
  cautionSays: {
    unsupported:
      'Según las reglas de taludes: {{rules}}. Dele talud, bermas o entibación. Nadie entra hasta que el responsable en obra lo haya mirado y lo haya dicho.',
    pitsUnsupported:
      'Según las reglas de taludes: {{rules}}. Bajo un muro no hay talud: tablas y codales bajan con la excavación, por palabra de quien los calcula. Elija entibación en Excavar. Nadie entra hasta que el responsable en obra lo haya mirado y lo haya dicho.',
    engineerDepth:
      'Según las reglas de taludes: {{rules}}. Mande el corte al ingeniero; anote su palabra en Niveles.',
    waterNear: 'Téngala {{hold}} bajo el fondo: si no, el fondo se ablanda y sube agua al perfilar.',
    depthUnknown:
      'Nadie excava con este plan hasta que una helada, un suelo de apoyo, un piso, un recubrimiento o la palabra de un ingeniero digan a qué profundidad.',
    ringUnknown: 'Anote en Excavación a quién se llama si pasa algo, y el número; sale impreso en la hoja.',
    frostUnknown:
      'Sin ella nadie puede decir si las zapatas quedan bajo la helada. Pregunte a la norma local o dé el clima; escriba 0 donde el suelo nunca se hiela.',
    waterUnknown:
      'Nadie dio un nivel. Mire el hoyo más cercano, o abra una calicata y espere, antes de contar con un fondo seco.',
    soilAssumed:
      'Abra una calicata o toque el suelo con la mano; taludes, esponjamiento y agua dependen de él.',
    coverAssumed: 'Nadie dio la de la norma local: pregúntela y escríbala.',
    water:
      'Abátala al nivel {{hold}}, {{under}} bajo el fondo, antes de perfilar. Nadie trabaja bajo una cara que llora.',
    aboveFrost:
      'La helada baja {{frost}} según {{by}}. Excave hasta ella, o anote en Niveles qué ingeniero dijo otra cosa, cuándo y por qué.',
    waterClass: 'Lo que seco se sostenía, mojado puede no sostenerse.',
    caveIn: 'Revisar cada día, tras la lluvia y tras el deshielo, antes de que baje nadie.',
    ladder:
      'Desde {{depth}} ({{rules}}). Atada, y {{above}} por encima del borde. La mira el encargado cada mañana.',
    gas: 'Nadie adentro con menos de {{oxygen}} de oxígeno o más de {{vapour}} del límite explosivo. Mide quien está capacitado. Cerca de tanques, combustible, rellenos, pantano o un desagüe: antes de cada entrada, con aire soplado y alguien arriba.',
    doubled:
      'Queda entera dentro de otra: ¿dibujada dos veces o debía ir más honda? Su tierra se cuenta una vez.',
    rescue: 'Nadie trabaja solo en la zanja, y nadie salta adentro tras un derrumbe. Sepa a quién llamar.',
    edge: 'Al menos {{setback}} del borde, más si el montón es alto o la cara está empinada.',
    services:
      'Pida la localización antes de excavar; sin máquina hasta que las marcas estén en el suelo. Descúbralos a mano.',
    thaw: 'La que a la mañana está dura puede caer al mediodía. El responsable en obra vuelve a mirar al deshelar.',
    softening: 'Deje los últimos {{trim}} hasta justo antes de tapar. Sin botas ni lluvia encima.',
    instruction: 'Manda sobre las reglas. Guárdela con la obra.',
    stoneSize: 'La capa debe ser al menos cuatro veces la piedra más grande.',
    slabFrost:
      'Llega {{reach}} bajo la cara de la losa. La cama debe ser de {{bed}}, {{short}} más de lo que es, o una plancha aislante debe frenar la helada: vea Base.',
    slabEngineer:
      'Calculada solo por helada. Apoyo, bordes y acero son de un ingeniero titulado: anote en Niveles quién lo dijo, cuándo y por qué, para esta losa.',
    slabSide:
      'Regla práctica, supuesta. Planchas {{width}} por fuera del borde, o una cama que salga más, alargan el rodeo. Un ingeniero dice qué pide el borde.',
    slabLow:
      'Lo alcanzan la salpicadura y el deshielo. Suba el piso, baje el terreno alrededor o desvíe el agua; anote lo que quiera en Niveles.',
    drainFlat:
      'Debe haber {{stand}} de agua antes de que salga algo, y después cerca de {{flow}} por cada {{higher}} que suba. Saque el barro antes de la piedra; no se limpia solo.',
    drainCrosses:
      'Primero el más hondo. Bajo una zapata la piedra no debe dejar salir el suelo; el ingeniero dice cuánto es bastante cerca.',
    drainNowhere: 'Diga dónde suelta y a qué nivel: al aire, a una zanja o a un pozo de bombeo.',
    liftFailed:
      'Rehágala y ensáyela otra vez antes de taparla. Solo el ingeniero la deja pasar, con nombre y motivo.',
    liftCovered:
      'Ensaye y libere la de abajo, o vuelva a descubrirla. Solo el ingeniero la deja así, con nombre y motivo.',
    liftOverridden: 'Guárdelo con la obra; el ingeniero debe saberlo.',
    floats:
      'Con el agua más alta conocida, sin el roce del relleno. Le faltan {{ballast}}, una base más ancha o anclajes. Flota con el agua al nivel {{level}}: siga bombeando, o inúndelo, hasta que un ingeniero lo resuelva.',
    unproved:
      'Lo que depende de ella no se dice. No pida, excave ni acarree por este plan hasta saber cuál está mal; anote lo último que se cambió.',
    replacementNarrow:
      'Excave el fondo así de ancho: más lugar en Excavar, zapata encofrada, o más saliente de esa capa. Más delgado o más firme lo dice el ingeniero.',
    floatsBarely:
      'Frente al nivel freático más alto conocido, sin contar el roce del relleno. Le faltan {{ballast}}, un fondo que sobresalga bajo el relleno, o anclajes: cosa de un ingeniero. Siga bombeando, o inúndelo, hasta que eso esté.',
    floatsMeanwhile:
      'Hasta entonces mantenga el agua bajo el nivel {{level}}. Las bombas siguen de noche y el fin de semana; deje un hueco en la base para inundarlo si paran.',
    heave:
      'Baje esa agua al nivel {{level}} antes de seguir, con un pozo a través de la capa impermeable. Un ingeniero dice cómo; anotado en Niveles con nombre, fecha y razón, se levanta el paro.',
    piping:
      'Abátala antes desde afuera, hinque tablestacas hasta {{sheets}} bajo el fondo, o cárguelo con piedra sobre un filtro. Un ingeniero dice cuál.',
    drawdown:
      'Su terreno puede asentarse, un pozo puede secarse. Avise a su dueño, mírelo antes y cada día después; decide un ingeniero.',
    surfaceWater:
      'Llévelo a otro lado, o córtelo con una zanja. El lavado de camiones también quema lo que crece: va a un pozo forrado.',
    underFlood: 'Súbalo, y con él los muros, al nivel {{level}}, o diga con quién se acordó otro resguardo.',
    floatUnknown:
      'Búsquelo: haga una calicata, pregunte a los vecinos, dé el más alto del año. Un ingeniero dice qué la sujeta.',
    crossing:
      'Descúbralo a mano, tome su nivel y su diámetro. Su dueño o el ingeniero dice qué se hace: dejarlo, desviarlo, camisa o hueco. Mientras no se sepa su nivel, nada se descuenta del hormigón.',
    vibrates:
      'Supuesto para su peso. Junto a la zapata de un vecino, y al lado de hormigón del último día, use uno más liviano o pisón de mano en capas más finas, y mire si hay grietas antes y después.',
    softDeep:
      'Nadie entra. Se saca y se rellena desde arriba, de una vez, antes del tramo siguiente; quien deba trabajar adentro necesita antes taludes o sostén.',
    softPast:
      'Solo se saca lo que está bajo una zanja o una zapata. La carga se abre: pregunte hasta dónde debe llegar el suelo bueno y ensanche la excavación.',
    underpinOpen:
      'Descubra su base en los dos extremos y anótela. Su ingeniero libera cada batache con nombre. Nunca cave bajo un muro desde la superficie.',
    stoneBeam: 'La práctica pide {{wanted}} bajo un muro de tierra. Suba el zócalo o baje el terreno.',
    handDeep:
      'Hace falta una plataforma o una cubeta: la mitad más o el doble. Nadie solo, nadie bajo caras sin sostén.',
    compactorUnsuited:
      'Sirve un vibroapisonador, una plancha reversible pesada o un rodillo de zanja. Los {{lift}} indicados son los que logra en piedra limpia.',
    liftOverCompactor: 'Demuéstrelo con una franja de prueba, o vaya con la capa más fina.',
    shortfall: 'Tráigalo, o seque y guarde más de lo excavado.',
    keepOff: {
      service: 'Manténgase a {{limit}}, o descúbralo a mano antes y pregunte a su dueño.',
      crest: 'A menos de {{limit}} del borde la máquina puede volcar y el borde ceder.',
      tree: 'Las raíces lo sostienen: manténgase a {{limit}}, o puede caer.',
      rock: 'Una roca descalzada rueda: {{limit}} libres, o rómpala antes.',
      stream: 'A menos de {{limit}} puede entrar. Pregunte antes a la autoridad del agua.',
      well: 'Quede a {{limit}} de un pozo de agua: pregunte a su dueño antes de excavar o bombear al lado.',
      overhead:
        'La pluma y la caja la alcanzan. Quede a {{limit}}, o que su dueño la corte y la ponga a tierra, por escrito.',
    },
    influence: '{{by}} de más a su lado: quede sobre el nivel {{limit}}, o consulte un recalce al ingeniero.',
    flood: 'La crecida, {{limit}}, está {{by}} sobre el terreno ahí.',
    cutBack: 'Entra {{by}} en la zanja. El ingeniero dice si se puede cortar, con nombre.',
    perched:
      'Entra en seguida sobre la capa cerrada, esté donde esté el nivel. Córtela con una zanja, o bombéela allí.',
    frozenFace: 'La costra se cava como roca, {{longer}} × el tiempo; al deshelar la cara cae sin aviso.',
    frostDry:
      'Su conductividad se toma como con {{from}}: en suelo tan seco la helada puede bajar más de lo dicho. Tome la cifra local, o pregunte al ingeniero.',
    beyondSurvey: 'Ahí el terreno se supone a nivel del punto más cercano: tome más cotas.',
    stepHigh: 'La regla es no más que el canto. El ingeniero puede decir otra cosa.',
    lapShort:
      'Dos veces el escalón, el canto o {{least}}, lo que más sea; el ingeniero puede decir otra cosa.',
    instructionWidth: 'Manda sobre el plan; guarde la orden con la obra.',
    shallowSchool: 'Está calculada solo por la helada. No la haga sin la orden de un ingeniero.',
    servicesMarked:
      'Pida la localización del resto; sin máquina hasta que las marcas estén en el suelo. Descúbralos a mano.',
    shored:
      'Tablas, codales o escudo según el proyecto. Se ponen desde arriba y se quitan desde abajo; nadie pasa de ellos.',
    spoilNear: 'Su pie está a {{edge}} de una excavación. Apártelo o sostenga ese lado.',
    rehandle: 'Está sobre {{what}}. Excave eso antes o ponga la tierra en otro sitio.',
    areaOutside: 'Pregunte al vecino o retírela.',
    noRoom: 'Dibuje más acopio, o llévela y tráigala.',
    reach: 'Le faltan {{short}}. Máquina mayor, rampa o ponerla más abajo.',
    gate: 'Mide {{width}} entre orugas y quiere hueco a los dos lados.',
    outsidePlot: 'No sin el vecino y un ingeniero: lados sostenidos más verticales, o muévala.',
  },
};
