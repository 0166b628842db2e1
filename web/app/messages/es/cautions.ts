/** What the core warns of. */
import type { cautions as english } from '../en/cautions.ts';
import type { Words } from '../words.ts';

export const cautions: Words<typeof english> = {
  lifts: {
    engineer: 'Solo lo levanta un ingeniero, con nombre.',
    owner: 'Solo lo levanta su dueño, por escrito.',
    competent: 'Solo lo levanta la persona competente en obra, con nombre.',
  },
  caution: {
    go: 'Ir a {{stage}}',
    standing_one: 'Siempre, en toda excavación ({{count}})',
    standing_other: 'Siempre, en toda excavación ({{count}})',
    heading: 'Advertencias',
    stop: 'ALTO',
    count_zero: 'este plan no halla altos',
    count_one: '{{count}} alto',
    count_other: '{{count}} altos',
    unsupported: {
      title: '{{depth}} de hondo, más empinado que {{steepest}}; protección desde {{from}}.',
      text: 'Nadie entra hasta que las paredes tengan talud, bermas o entibación, y el responsable en obra las haya mirado y lo haya dicho.',
    },
    engineerDepth: {
      title: '{{depth}} de hondo.',
      text: 'Pasados {{limit}} los taludes los calcula un ingeniero.',
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
      text: 'Abatir a {{hold}} antes de perfilar el último corte. Nunca se trabaja bajo una cara que llora.',
    },
    aboveFrost: {
      title: 'Zapata por encima de la helada.',
      text: 'El nivel fijado deja suelo heladizo bajo la zapata. Pida la razón del ingeniero por escrito.',
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
      text: 'Desde {{depth}}, donde haya gente; firme, y que sobresalga del borde.',
    },
    gas: {
      title: '{{deep}} de hondo: mida el aire antes de que alguien baje, desde {{depth}}.',
      text: 'El aire malo no se ve. Cerca de tanques, combustible, rellenos, bañados o un desagüe: un medidor antes de cada entrada, aire soplado, alguien arriba; afuera al primer aviso.',
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
      text: 'Hágalos ubicar y marcar, y descúbralos a mano, antes que la máquina.',
    },
    thaw: {
      title: 'Las caras heladas se deshielan.',
      text: 'La cara que a la mañana está dura puede caer al mediodía.',
    },
    softening: {
      title: 'El fondo se ablanda con agua.',
      text: 'Deje el último corte hasta justo antes de tapar; sin botas ni lluvia encima.',
    },
    instruction: {
      title: 'Nivel fijado por {{who}}: {{level}}.',
      text: 'Manda sobre las reglas; guarde la orden con la obra.',
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
      text: 'Calculada solo por helada. Apoyo, bordes y acero son de un ingeniero matriculado: anote en Niveles quién lo dijo, cuándo y por qué, para esta losa.',
    },
    slabSide: {
      title:
        'La helada puede entrar de costado bajo una losa: su rodeo más corto es {{way}}, y baja {{frost}}.',
      text: 'Regla práctica, supuesta. Planchas {{width}} por fuera del borde, o una cama que salga más, alargan el rodeo. Un ingeniero dice qué pide el borde.',
    },
    slabLow: {
      title: 'Un piso queda {{over}} sobre el terreno de al lado: lo alcanzan la salpicadura y el deshielo.',
      text: 'La práctica pide {{wanted}}. Suba el piso, baje el terreno alrededor o desvíe el agua; anote lo que quiera en Niveles.',
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
      text: 'Rehágala y ensáyela otra vez antes de taparla. Solo una persona con nombre puede dejarla, con un motivo que queda en el registro.',
    },
    liftCovered: {
      title: 'Se puso una capa sobre otra sin liberar.',
      text: 'Ensaye y libere primero la de abajo, o vuelva a descubrirla: lo que queda debajo ya no se puede corregir.',
    },
    liftOverridden: {
      title: '{{who}} dejó tapar una capa que no pasó: {{reason}}',
      text: 'Guárdelo con la obra; el ingeniero debe saberlo.',
    },
    floats: {
      title: '{{name}} flota vacío: peso sobre empuje {{safety}}, se pide 1,1.',
      text: 'Frente al nivel freático más alto conocido, sin contar el roce del relleno. Le faltan {{ballast}}, un fondo que sobresalga bajo el relleno, o anclajes: cosa de un ingeniero. Flota con el agua a {{level}}; siga bombeando, o inúndelo, hasta que eso esté.',
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
      title: '{{name}} queda mal sujeto cuando está vacío: peso sobre empuje {{safety}}, se pide {{asked}}.',
      text: 'Frente al nivel freático más alto conocido, sin contar el roce del relleno. Le faltan {{ballast}}, un fondo que sobresalga bajo el relleno, o anclajes: cosa de un ingeniero. Siga bombeando, o inúndelo, hasta que eso esté.',
    },
    floatsMeanwhile: {
      title: '{{name}} puede flotar hasta que tenga techo y relleno encima.',
      text: 'Hasta entonces mantenga el agua bajo {{level}}: que las bombas no paren de noche ni el fin de semana, y deje un hueco en el fondo para inundarlo si paran.',
    },
    heave: {
      title: '{{name}}: el agua a presión puede levantar su fondo ({{safety}}; se pide {{asked}}).',
      text: 'Baje esa agua hasta {{level}} antes de seguir, con un pozo a través de la capa impermeable. Un ingeniero dice cómo; anotado en Niveles con nombre, fecha y razón, se levanta el paro.',
    },
    piping: {
      title:
        '{{name}}: {{head}} de agua sobre su fondo, bombeada desde adentro, puede hacerlo hervir ({{toe}} al pie de los taludes, {{middle}} en el medio; se pide {{asked}}).',
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
      text: 'Súbalo, y con él los muros, hasta {{level}}, o diga con quién se acordó otro resguardo.',
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
      text: 'Solo se saca lo que está bajo una zanja o un pozo. La carga se abre: pregunte hasta dónde debe llegar el suelo bueno y ensanche la excavación.',
    },
    underpinOpen: {
      title: 'No se conoce el muro viejo sobre este tramo: se cuenta como zanja abierta.',
      text: 'Descubra su base en los dos extremos y anótela. Nunca cave bajo un muro desde la superficie, ni un batache sin el permiso del ingeniero.',
    },
    stoneBeam: {
      title: 'La cara de la zapata de piedra queda {{over}} sobre el terreno: la salpicadura llega al muro.',
      text: 'La práctica pide {{wanted}} bajo un muro de tierra. Suba el zócalo o baje el terreno.',
    },
    handDeep: {
      title: 'Demasiado hondo para palear hacia afuera.',
      text: 'Hace falta una plataforma o un balde: la mitad más o el doble. Nadie trabaja solo ni bajo caras sin sostén.',
    },
    compactorUnsuited: {
      title: '{{bed}}: este compactador hace poco en una capa con muchos finos.',
      text: 'Sirve un vibroapisonador, una plancha reversible pesada o un rodillo de zanja. La capa indicada es la que logra en piedra limpia.',
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
      text: 'Deciden la norma local, el responsable en obra y el ingeniero habilitado. Este plan nunca dice que una excavación sea segura.',
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
        text: 'A menos de {{limit}} puede entrar; los permisos son cosa de otro.',
      },
      well: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'Quede a {{limit}} de un pozo de agua: pregunte a su dueño antes de excavar o bombear al lado.',
      },
      overhead: {
        title: '{{hazard}} está a {{distance}}.',
        text: 'La pluma y la caja la alcanzan: manténgase a {{limit}}, o que la corten.',
      },
    },
    influence: {
      title: 'Por debajo de la línea de {{hazard}}.',
      text: '{{by}} de más a su lado: quede sobre {{limit}}, o consulte un recalce al ingeniero.',
    },
    flood: {
      title: '{{hazard}} puede inundar la excavación.',
      text: 'La crecida, {{limit}}, está {{by}} sobre el terreno ahí.',
    },
    cutBack: {
      title: 'El hormigón viejo de {{hazard}} estorba.',
      text: 'Entra {{by}} en la zanja. El ingeniero dice si se puede cortar.',
    },
    perched: {
      title: 'Se corta agua colgada.',
      text: 'Entra en seguida sobre la capa cerrada, esté donde esté el nivel.',
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
      text: 'La regla es no más que el canto; el ingeniero puede decir otra cosa.',
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
      title: 'Los servicios de este plan son los que alguien sabía.',
      text: 'Haga localizar y marcar el resto, y cave a mano para probarlos.',
    },
    shored: {
      title: 'La entibación la calcula alguien.',
      text: 'Tablas, codales o escudo por persona competente; nadie pasa de ellos, se ponen desde arriba y se quitan desde abajo.',
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
      text: 'No sin el vecino y un ingeniero: lados sostenidos más verticales, o muévela.',
    },
  },
};
