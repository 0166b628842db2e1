/** What the core warns of. */
import type { cautions as english } from '../en/cautions.ts';
import type { Words } from '../words.ts';

export const cautions: Words<typeof english> = {
  lifts: {
    engineer: 'Solo lo levanta un ingeniero, con nombre.',
    owner: 'Solo lo levanta su dueño, por escrito.',
    competent: 'Solo lo levanta el responsable en obra, con nombre.',
    locator: 'Solo lo levantan las marcas del servicio de localización.',
  },
  act: {
    unsupported: 'Talud de {{steepest}} o entibación en {{what}}',
    engineerDepth: 'Pida al ingeniero los taludes de {{what}}',
    influence: 'Deje {{what}} sobre el nivel {{limit}} junto a {{hazard}}',
    flood: 'Suba o proteja la excavación de {{hazard}}, al nivel {{limit}}',
    keepOff: {
      service: 'Descubra {{hazard}} a mano; su dueño dice a cuánto',
      overhead: 'Que su dueño corte {{hazard}} y la ponga a tierra',
    },
    water: 'Abata el agua al nivel {{hold}}',
    floats: 'Sujete {{name}}: {{ballast}} más, o la palabra del ingeniero',
    floatsBarely: 'Sujete {{name}}: {{ballast}} más, o la palabra del ingeniero',
    heave: 'Baje el agua bajo {{name}} al nivel {{level}}',
    piping: 'Abata por fuera de {{name}}, o hinque tablestacas {{sheets}} más',
    depthUnknown: 'Diga qué decide la profundidad de {{what}}',
    frostUnknown: 'Pregunte hasta dónde baja la helada; anótelo',
    aboveFrost: 'Baje {{what}} {{above}}, o anote la palabra del ingeniero',
    shallowSchool: 'Pida la palabra de un ingeniero para la cama superficial',
    replacementNarrow: 'Ensanche el fondo de {{name}} a {{needs}}',
    slabFrost: 'Haga la cama de {{what}} de {{bed}}, o aíslela',
    slabEngineer: 'Anote la palabra del ingeniero para {{what}}',
    drainCrosses: 'Aparte {{drain}} de {{footing}}',
    liftFailed: 'Rehaga la capa de {{what}} y ensaye otra vez',
    liftCovered: 'Ensaye y libere la capa bajo {{what}}',
    softDeep: 'Saque {{spot}} desde arriba; nadie entra',
    underpinOpen: 'Anote el muro viejo sobre {{what}}',
    outsidePlot: 'Meta {{what}} dentro de la parcela',
  },
  caution: {
    go: 'Ir a {{stage}}',
    standing_one: 'Siempre, en toda excavación',
    standing_other: 'Siempre, en toda excavación',
    heading: 'Advertencias',
    of: '{{count}} elementos',
    concerns: 'De {{names}}.',
    all: 'todo',
    rules: { cautious: 'US 29 CFR 1926 P, con más cuidado', us: 'US 29 CFR 1926 P', own: 'las propias' },
    by: { local: 'la norma local', computed: 'el clima dado' },
    where: { over: 'sobre', under: 'bajo' },
    elsewhere_one: '{{count}} en otra etapa',
    elsewhere_other: '{{count}} en otras etapas',
    stop: 'PARO',
    count_zero: 'este plan no halla paros',
    count_one: '{{count}} paro',
    count_other: '{{count}} paros',
    unsupported: {
      title: '{{depth}} de hondo, más empinado que {{steepest}}; protección desde {{from}}.',
      text: 'Según las reglas de taludes: {{rules}}. Dele talud, bermas o entibación. Nadie entra hasta que el responsable en obra lo haya mirado y lo haya dicho.',
    },
    engineerDepth: {
      title: '{{depth}} de hondo; pasados {{limit}} los taludes son del ingeniero.',
      text: 'Según las reglas de taludes: {{rules}}. Mande el corte al ingeniero; anote su palabra en Niveles.',
    },
    waterNear: {
      title: 'Agua a solo {{under}} bajo el fondo.',
      text: 'Téngala {{hold}} bajo el fondo: si no, el fondo se ablanda y sube agua al perfilar.',
    },
    depthUnknown: {
      title: 'Nada decide todavía su profundidad.',
      text: 'Nadie excava con este plan hasta que una helada, un suelo de apoyo, un piso, un recubrimiento o la palabra de un ingeniero digan a qué profundidad.',
    },
    ringUnknown: {
      title: 'No hay nadie a quien llamar.',
      text: 'Anote en Excavación a quién se llama si pasa algo, y el número; sale impreso en la hoja.',
    },
    frostUnknown: {
      title: 'No se conoce la helada.',
      text: 'Sin ella nadie puede decir si las zapatas quedan bajo la helada. Pregunte a la norma local o dé el clima; escriba 0 donde el suelo nunca se hiela.',
    },
    waterUnknown: {
      title: 'No se conoce el agua.',
      text: 'Nadie dio un nivel. Mire el hoyo más cercano, o abra una calicata y espere, antes de contar con un fondo seco.',
    },
    soilAssumed: {
      title: 'El suelo es supuesto: nadie abrió {{name}}.',
      text: 'Abra una calicata o toque el suelo con la mano; taludes, esponjamiento y agua dependen de él.',
    },
    coverAssumed: {
      title: 'La tapada mínima de {{cover}} es supuesta.',
      text: 'Nadie dio la de la norma local: pregúntela y escríbala.',
    },
    water: {
      title: 'Agua {{above}} sobre el fondo.',
      text: 'Abátala al nivel {{hold}}, {{under}} bajo el fondo, antes de perfilar. Nadie trabaja bajo una cara que llora.',
    },
    aboveFrost: {
      title: '{{above}} por encima de la helada.',
      text: 'La helada baja {{frost}} según {{by}}. Excave hasta ella, o anote en Niveles qué ingeniero dijo otra cosa, cuándo y por qué.',
    },
    waterClass: {
      title: 'El agua baja el suelo a clase C.',
      text: 'Lo que seco se sostenía, mojado puede no sostenerse.',
    },
    caveIn: {
      title: 'A {{depth}} los taludes todavía pueden caer.',
      text: 'Revisar cada día, tras la lluvia y tras el deshielo, antes de que baje nadie.',
    },
    ladder: {
      title: '{{deep}} de hondo: una escalera a menos de {{travel}} de cada uno.',
      text: 'Desde {{depth}} ({{rules}}). Atada, y {{above}} por encima del borde. La mira el encargado cada mañana.',
    },
    gas: {
      title: '{{deep}} de hondo: mida el aire desde {{depth}}, antes de que alguien baje.',
      text: 'Nadie adentro con menos de {{oxygen}} de oxígeno o más de {{vapour}} del límite explosivo. Mide quien está capacitado. Cerca de tanques, combustible, rellenos, pantano o un desagüe: antes de cada entrada, con aire soplado y alguien arriba.',
    },
    doubled: {
      title: 'No excava nada propio.',
      text: 'Queda entera dentro de otra: ¿dibujada dos veces o debía ir más honda? Su tierra se cuenta una vez.',
    },
    rescue: {
      title: 'El rescate se prepara antes de bajar.',
      text: 'Nadie trabaja solo en la zanja, y nadie salta adentro tras un derrumbe. Sepa a quién llamar.',
    },
    edge: {
      title: 'Tierra y máquina lejos del borde.',
      text: 'Al menos {{setback}} del borde, más si el montón es alto o la cara está empinada.',
    },
    services: {
      title: 'No hay servicios en este plano.',
      text: 'Pida la localización antes de excavar; sin máquina hasta que las marcas estén en el suelo. Descúbralos a mano.',
    },
    thaw: {
      title: 'La helada baja {{depth}}: las caras heladas se deshielan.',
      text: 'La que a la mañana está dura puede caer al mediodía. El responsable en obra vuelve a mirar al deshelar.',
    },
    softening: {
      title: 'El fondo se ablanda con agua.',
      text: 'Deje los últimos {{trim}} hasta justo antes de tapar. Sin botas ni lluvia encima.',
    },
    instruction: {
      title: 'Al nivel {{level}} por orden de {{who}}.',
      text: 'Manda sobre las reglas. Guárdela con la obra.',
    },
    stoneSize: {
      title: '{{bed}}: piedra de {{stone}} es grande para capas de {{lift}}.',
      text: 'La capa debe ser al menos cuatro veces la piedra más grande.',
    },
    slabFrost: {
      title: 'La helada pasa losa y cama hasta suelo que levanta.',
      text: 'Llega {{reach}} bajo la cara de la losa. La cama debe ser de {{bed}}, {{short}} más de lo que es, o una plancha aislante debe frenar la helada: vea Base.',
    },
    slabEngineer: {
      title: 'Una losa sobre la línea de helada espera la palabra de un ingeniero.',
      text: 'Calculada solo por helada. Apoyo, bordes y acero son de un ingeniero titulado: anote en Niveles quién lo dijo, cuándo y por qué, para esta losa.',
    },
    slabSide: {
      title:
        'La helada puede entrar de costado bajo una losa: su rodeo más corto es {{way}}, y baja {{frost}}.',
      text: 'Regla práctica, supuesta. Planchas {{width}} por fuera del borde, o una cama que salga más, alargan el rodeo. Un ingeniero dice qué pide el borde.',
    },
    slabLow: {
      title:
        'Un piso queda {{over}} {{where}} el terreno de al lado; la práctica pide {{wanted}} por encima.',
      text: 'Lo alcanzan la salpicadura y el deshielo. Suba el piso, baje el terreno alrededor o desvíe el agua; anote lo que quiera en Niveles.',
    },
    drainFlat: {
      title: '{{drain}} casi no tiene caída: solo trabaja por carga.',
      text: 'Debe haber {{stand}} de agua antes de que salga algo, y después cerca de {{flow}} por cada metro que suba. Saque el barro antes de la piedra; no se limpia solo.',
    },
    drainCrosses: {
      title: '{{drain}} cruza {{footing}}: {{clear}} entre los dos.',
      text: 'Primero el más hondo. Bajo una zapata la piedra no debe dejar salir el suelo; el ingeniero dice cuánto es bastante cerca.',
    },
    drainNowhere: {
      title: 'Un dren sin salida solo guarda agua.',
      text: 'Diga dónde suelta y a qué nivel: al aire, a una zanja o a un pozo de bombeo.',
    },
    liftFailed: {
      title: 'Una capa no pasó su ensayo.',
      text: 'Rehágala y ensáyela otra vez antes de taparla. Solo el ingeniero la deja pasar, con nombre y motivo.',
    },
    liftCovered: {
      title: 'Se puso una capa sobre otra sin liberar.',
      text: 'Ensaye y libere la de abajo, o vuelva a descubrirla. Solo el ingeniero la deja así, con nombre y motivo.',
    },
    liftOverridden: {
      title: '{{who}} dejó tapar una capa que no pasó: {{reason}}',
      text: 'Guárdelo con la obra; el ingeniero debe saberlo.',
    },
    floats: {
      title: '{{name}} flota vacío: peso sobre empuje {{safety}}; se pide {{asked}}.',
      text: 'Con el agua más alta conocida, sin el roce del relleno. Le faltan {{ballast}}, una base más ancha o anclajes. Flota con el agua al nivel {{level}}: siga bombeando, o inúndelo, hasta que un ingeniero lo resuelva.',
    },
    unproved: {
      title: 'Una cifra no se sostiene: {{expected}} de un modo, {{found}} de otro.',
      text: 'Lo que depende de ella no se dice. No pida, excave ni acarree por este plan hasta saber cuál está mal; anote lo último que se cambió.',
    },
    replacementNarrow: {
      title:
        '{{name}}: lo que reemplaza el suelo blando tiene {{has}} al pie; la carga se abre hasta {{needs}}.',
      text: 'Excave el fondo así de ancho: más lugar en Excavar, zapata encofrada, o más saliente de esa capa. Más delgado o más firme lo dice el ingeniero.',
    },
    floatsBarely: {
      title: '{{name}} queda mal sujeto vacío: peso sobre empuje {{safety}}; se pide {{asked}}.',
      text: 'Frente al nivel freático más alto conocido, sin contar el roce del relleno. Le faltan {{ballast}}, un fondo que sobresalga bajo el relleno, o anclajes: cosa de un ingeniero. Siga bombeando, o inúndelo, hasta que eso esté.',
    },
    floatsMeanwhile: {
      title: '{{name}} puede flotar hasta que tenga techo y relleno encima.',
      text: 'Hasta entonces mantenga el agua bajo el nivel {{level}}. Las bombas siguen de noche y el fin de semana; deje un hueco en la base para inundarlo si paran.',
    },
    heave: {
      title:
        '{{name}}: el agua a presión puede levantar su fondo: peso sobre presión {{safety}}; se pide {{asked}}.',
      text: 'Baje esa agua al nivel {{level}} antes de seguir, con un pozo a través de la capa impermeable. Un ingeniero dice cómo; anotado en Niveles con nombre, fecha y razón, se levanta el paro.',
    },
    piping: {
      title:
        '{{name}}: el fondo puede hervir con {{head}} de agua encima: seguridad contra sifonamiento {{toe}} al pie de los taludes, {{middle}} en el medio; se pide {{asked}}.',
      text: 'Abátala antes desde afuera, hinque tablestacas hasta {{sheets}} bajo el fondo, o cárguelo con piedra sobre un filtro. Un ingeniero dice cuál.',
    },
    drawdown: {
      title: 'El bombeo baja el agua bajo {{hazard}}: {{likely}}, hasta {{high}}, a {{distance}}.',
      text: 'Su terreno puede asentarse, un pozo puede secarse. Avise a su dueño, mírelo antes y cada día después; decide un ingeniero.',
    },
    surfaceWater: {
      title: '{{name}} escurre al hoyo de {{hole}}.',
      text: 'Llévelo a otro lado, o córtelo con una zanja. El lavado de camiones también quema lo que crece: va a un pozo forrado.',
    },
    underFlood: {
      title: '{{name}} queda {{short}} demasiado bajo sobre la crecida.',
      text: 'Súbalo, y con él los muros, al nivel {{level}}, o diga con quién se acordó otro resguardo.',
    },
    floatUnknown: {
      title: 'Una caja vacía flota cuando vuelve el agua del suelo, y el nivel freático no se conoce.',
      text: 'Búsquelo: haga una calicata, pregunte a los vecinos, dé el más alto del año. Un ingeniero dice qué la sujeta.',
    },
    vibrates: {
      title: 'El compactador trabaja a {{distance}} de {{hazard}}: deje {{keep}}.',
      text: 'Supuesto para su peso. Junto a la zapata de un vecino, y al lado de hormigón del último día, use uno más liviano o pisón de mano en capas más finas, y mire si hay grietas antes y después.',
    },
    softDeep: {
      title: '{{spot}}: {{depth}} bajo el terreno con paredes a plomo; protección desde {{from}}.',
      text: 'Nadie entra. Se saca y se rellena desde arriba, de una vez, antes del tramo siguiente; quien deba trabajar adentro necesita antes taludes o sostén.',
    },
    softPast: {
      title: '{{spot}} sale {{outside}} de los fondos: lo blando de allí queda.',
      text: 'Solo se saca lo que está bajo una zanja o una zapata. La carga se abre: pregunte hasta dónde debe llegar el suelo bueno y ensanche la excavación.',
    },
    underpinOpen: {
      title: 'No se conoce el muro viejo sobre este tramo: se cuenta como zanja abierta.',
      text: 'Descubra su base en los dos extremos y anótela. Su ingeniero libera cada batache con nombre. Nunca cave bajo un muro desde la superficie.',
    },
    stoneBeam: {
      title: 'La cara de la zapata de piedra queda {{over}} sobre el terreno: la salpicadura llega al muro.',
      text: 'La práctica pide {{wanted}} bajo un muro de tierra. Suba el zócalo o baje el terreno.',
    },
    handDeep: {
      title: '{{depth}} de hondo: demasiado para palear; hasta {{most}} se puede.',
      text: 'Hace falta una plataforma o una cubeta: la mitad más o el doble. Nadie solo, nadie bajo caras sin sostén.',
    },
    compactorUnsuited: {
      title: '{{bed}}: este compactador hace poco en una capa con muchos finos.',
      text: 'Sirve un vibroapisonador, una plancha reversible pesada o un rodillo de zanja. Los {{lift}} indicados son los que logra en piedra limpia.',
    },
    liftOverCompactor: {
      title: '{{bed}}: la capa del pliego, {{specified}}, pasa lo usual de este equipo, {{typical}}.',
      text: 'Demuéstrelo con una franja de prueba, o vaya con la capa más fina.',
    },
    shortfall: {
      title: 'No alcanza el suelo apto para rellenar: faltan {{volume}}.',
      text: 'Tráigalo, o seque y guarde más de lo excavado.',
    },
    defer: {
      title: 'Quién decide.',
      text: 'Deciden la norma local, el responsable en obra y el ingeniero titulado. Este plan nunca dice que una excavación sea segura.',
    },
    keepOff: {
      service: {
        title: '{{hazard}} está a {{distance}} de la abertura.',
        text: 'Manténgase a {{limit}}, o descúbralo a mano antes y pregunte a su dueño.',
      },
      crest: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'A menos de {{limit}} del borde la máquina puede volcar y el borde ceder.',
      },
      tree: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'Las raíces lo sostienen: manténgase a {{limit}}, o puede caer.',
      },
      rock: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'Una roca descalzada rueda: {{limit}} libres, o rómpala antes.',
      },
      stream: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'A menos de {{limit}} puede entrar. Pregunte antes a la autoridad del agua.',
      },
      well: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'Quede a {{limit}} de un pozo de agua: pregunte a su dueño antes de excavar o bombear al lado.',
      },
      overhead: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'La pluma y la caja la alcanzan. Quede a {{limit}}, o que su dueño la corte y la ponga a tierra, por escrito.',
      },
    },
    influence: {
      title: 'Por debajo de la línea de {{hazard}}.',
      text: '{{by}} de más a su lado: quede sobre el nivel {{limit}}, o consulte un recalce al ingeniero.',
    },
    flood: {
      title: '{{hazard}} puede inundar la excavación.',
      text: 'La crecida, {{limit}}, está {{by}} sobre el terreno ahí.',
    },
    cutBack: {
      title: 'El hormigón viejo de {{hazard}} estorba.',
      text: 'Entra {{by}} en la zanja. El ingeniero dice si se puede cortar, con nombre.',
    },
    perched: {
      title: 'Se corta agua colgada, a {{depth}}.',
      text: 'Entra en seguida sobre la capa cerrada, esté donde esté el nivel. Córtela con una zanja, o bombéela allí.',
    },
    frozenFace: {
      title: 'Hoy helado hasta {{depth}}.',
      text: 'La costra se cava como roca, {{longer}} × el tiempo; al deshelar la cara cae sin aviso.',
    },
    frostDry: {
      title:
        'Un suelo dado con {{moisture}} de agua es más seco que lo que admite la fórmula de helada ({{from}}).',
      text: 'Su conductividad se toma como con {{from}}: en suelo tan seco la helada puede bajar más de lo dicho. Tome la cifra local, o pregunte al ingeniero.',
    },
    beyondSurvey: {
      title: 'Se excava fuera del levantamiento.',
      text: 'Ahí el terreno se supone a nivel del punto más cercano: tome más cotas.',
    },
    stepHigh: {
      title: 'Los escalones de {{height}} superan el canto de la zapata, {{thickness}}.',
      text: 'La regla es no más que el canto. El ingeniero puede decir otra cosa.',
    },
    lapShort: {
      title: 'Los solapes de {{lap}} son menores que {{wanted}}.',
      text: 'Dos veces el escalón, el canto o {{least}}, lo que más sea; el ingeniero puede decir otra cosa.',
    },
    instructionWidth: {
      title: 'Ancho fijado por {{who}}: {{width}}.',
      text: 'Manda sobre el plan; guarde la orden con la obra.',
    },
    shallowSchool: {
      title: 'Cama superficial de {{bed}}: lo decide un ingeniero.',
      text: 'Está calculada solo por la helada. No la haga sin la orden de un ingeniero.',
    },
    servicesMarked: {
      title: 'Los servicios de aquí son los que alguien sabía.',
      text: 'Pida la localización del resto; sin máquina hasta que las marcas estén en el suelo. Descúbralos a mano.',
    },
    shored: {
      title: 'La entibación pide un proyectista con nombre.',
      text: 'Tablas, codales o escudo según el proyecto. Se ponen desde arriba y se quitan desde abajo; nadie pasa de ellos.',
    },
    spoilNear: {
      title: '{{area}}: el montón está demasiado cerca del borde.',
      text: 'Su pie está a {{edge}} de una excavación. Apártelo o sostenga ese lado.',
    },
    rehandle: {
      title: '{{area}} estorba: {{volume}} movidos dos veces.',
      text: 'Está sobre {{what}}. Excave eso antes o ponga la tierra en otro sitio.',
    },
    areaOutside: {
      title: '{{area}} se sale de la parcela.',
      text: 'Pregunte al vecino o retírela.',
    },
    noRoom: {
      title: '{{volume}} de tierra guardada no tienen sitio.',
      text: 'Dibuje más acopio, o llévela y tráigala.',
    },
    reach: {
      title: '{{machine}} no llega al fondo.',
      text: 'Le faltan {{short}}. Máquina mayor, rampa o ponerla más abajo.',
    },
    gate: {
      title: '{{gate}} es estrecha para {{machine}}.',
      text: 'Mide {{width}} entre orugas y quiere hueco a los dos lados.',
    },
    outsidePlot: {
      title: 'La excavación se sale {{area}} de la parcela.',
      text: 'No sin el vecino y un ingeniero: lados sostenidos más verticales, o muévala.',
    },
  },
};
