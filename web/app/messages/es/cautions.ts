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
    pitsUnsupported: 'Ponga tablas y codales en los hoyos de {{what}} al bajar',
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
    },
    pitsUnsupported: {
      title: 'Hoyos de {{depth}} en tramos, a plomo; protección desde {{from}}.',
    },
    engineerDepth: {
      title: '{{depth}} de hondo; pasados {{limit}} los taludes son del ingeniero.',
    },
    waterNear: {
      title: 'Agua a solo {{under}} bajo el fondo.',
    },
    depthUnknown: {
      title: 'Nada decide todavía su profundidad.',
    },
    ringUnknown: {
      title: 'No hay nadie a quien llamar.',
    },
    frostUnknown: {
      title: 'No se conoce la helada.',
    },
    waterUnknown: {
      title: 'No se conoce el agua.',
    },
    soilAssumed: {
      title: 'El suelo es supuesto: nadie abrió {{name}}.',
    },
    coverAssumed: {
      title: 'La tapada mínima de {{cover}} es supuesta.',
    },
    water: {
      title: 'Agua {{above}} sobre el fondo.',
    },
    aboveFrost: {
      title: '{{above}} por encima de la helada.',
    },
    waterClass: {
      title: 'El agua baja el suelo a clase C.',
    },
    caveIn: {
      title: 'A {{depth}} los taludes todavía pueden caer.',
    },
    ladder: {
      title: '{{deep}} de hondo: una escalera a menos de {{travel}} de cada uno.',
    },
    gas: {
      title: '{{deep}} de hondo: mida el aire desde {{depth}}, antes de que alguien baje.',
    },
    doubled: {
      title: 'No excava nada propio.',
    },
    rescue: {
      title: 'El rescate se prepara antes de bajar.',
    },
    edge: {
      title: 'Tierra y máquina lejos del borde.',
    },
    services: {
      title: 'No hay servicios en este plano.',
    },
    thaw: {
      title: 'La helada baja {{depth}}: las caras heladas se deshielan.',
    },
    softening: {
      title: 'El fondo se ablanda con agua.',
    },
    instruction: {
      title: 'Al nivel {{level}} por orden de {{who}}.',
    },
    stoneSize: {
      title: '{{bed}}: piedra de {{stone}} es grande para capas de {{lift}}.',
    },
    slabFrost: {
      title: 'La helada pasa losa y cama hasta suelo que levanta.',
    },
    slabEngineer: {
      title: 'Una losa sobre la línea de helada espera la palabra de un ingeniero.',
    },
    slabSide: {
      title:
        'La helada puede entrar de costado bajo una losa: su rodeo más corto es {{way}}, y baja {{frost}}.',
    },
    slabLow: {
      title:
        'Un piso queda {{over}} {{where}} el terreno de al lado; la práctica pide {{wanted}} por encima.',
    },
    drainFlat: {
      title: '{{drain}} casi no tiene caída: solo trabaja por carga.',
    },
    drainCrosses: {
      title: '{{drain}} cruza {{footing}}: {{clear}} entre los dos.',
    },
    drainNowhere: {
      title: 'Un dren sin salida solo guarda agua.',
    },
    liftFailed: {
      title: 'Una capa no pasó su ensayo.',
    },
    liftCovered: {
      title: 'Se puso una capa sobre otra sin liberar.',
    },
    liftOverridden: {
      title: '{{who}} dejó tapar una capa que no pasó: {{reason}}',
    },
    floats: {
      title: '{{name}} flota vacío: peso sobre empuje {{safety}}; se pide {{asked}}.',
    },
    unproved: {
      title: 'Una cifra no se sostiene: {{expected}} de un modo, {{found}} de otro.',
    },
    replacementNarrow: {
      title:
        '{{name}}: lo que reemplaza el suelo blando tiene {{has}} al pie; la carga se abre hasta {{needs}}.',
    },
    floatsBarely: {
      title: '{{name}} queda mal sujeto vacío: peso sobre empuje {{safety}}; se pide {{asked}}.',
    },
    floatsMeanwhile: {
      title: '{{name}} puede flotar hasta que tenga techo y relleno encima.',
    },
    heave: {
      title:
        '{{name}}: el agua a presión puede levantar su fondo: peso sobre presión {{safety}}; se pide {{asked}}.',
    },
    piping: {
      title:
        '{{name}}: el fondo puede hervir con {{head}} de agua encima: seguridad contra sifonamiento {{toe}} al pie de los taludes, {{middle}} en el medio; se pide {{asked}}.',
    },
    drawdown: {
      title: 'El bombeo baja el agua bajo {{hazard}}: {{likely}}, hasta {{high}}, a {{distance}}.',
    },
    surfaceWater: {
      title: '{{name}} escurre al hoyo de {{hole}}.',
    },
    underFlood: {
      title: '{{name}} queda {{short}} demasiado bajo sobre la crecida.',
    },
    floatUnknown: {
      title: 'Una caja vacía flota cuando vuelve el agua del suelo, y el nivel freático no se conoce.',
    },
    crossing: {
      title: '{{hazard}} cruza {{length}} de lo que se hormigona: falta acordarlo.',
    },
    vibrates: {
      title: 'El compactador trabaja a {{distance}} de {{hazard}}: deje {{keep}}.',
    },
    softDeep: {
      title: '{{spot}}: {{depth}} bajo el terreno con paredes a plomo; protección desde {{from}}.',
    },
    softPast: {
      title: '{{spot}} sale {{outside}} de los fondos: lo blando de allí queda.',
    },
    underpinOpen: {
      title: 'No se conoce el muro viejo sobre este tramo: se cuenta como zanja abierta.',
    },
    stoneBeam: {
      title: 'La cara de la zapata de piedra queda {{over}} sobre el terreno: la salpicadura llega al muro.',
    },
    handDeep: {
      title: '{{depth}} de hondo: demasiado para palear; hasta {{most}} se puede.',
    },
    compactorUnsuited: {
      title: '{{bed}}: este compactador hace poco en una capa con muchos finos.',
    },
    liftOverCompactor: {
      title: '{{bed}}: la capa del pliego, {{specified}}, pasa lo usual de este equipo, {{typical}}.',
    },
    shortfall: {
      title: 'No alcanza el suelo apto para rellenar: faltan {{volume}}.',
    },
    defer: {
      title: 'Quién decide.',
      text: 'Deciden la norma local, el responsable en obra y el ingeniero titulado. Este plan nunca dice que una excavación sea segura.',
    },
    keepOff: {
      service: {
        title: '{{hazard}} está a {{distance}} de la abertura.',
      },
      crest: {
        title: '{{hazard}} está a {{distance}}.',
      },
      tree: {
        title: '{{hazard}} está a {{distance}}.',
      },
      rock: {
        title: '{{hazard}} está a {{distance}}.',
      },
      stream: {
        title: '{{hazard}} está a {{distance}}.',
      },
      well: {
        title: '{{hazard}} está a {{distance}}.',
      },
      overhead: {
        title: '{{hazard}} está a {{distance}}.',
      },
    },
    influence: {
      title: 'Por debajo de la línea de {{hazard}}.',
    },
    flood: {
      title: '{{hazard}} puede inundar la excavación.',
    },
    cutBack: {
      title: 'El hormigón viejo de {{hazard}} estorba.',
    },
    perched: {
      title: 'Se corta agua colgada, a {{depth}}.',
    },
    frozenFace: {
      title: 'Hoy helado hasta {{depth}}.',
    },
    frostDry: {
      title:
        'Un suelo dado con {{moisture}} de agua es más seco que lo que admite la fórmula de helada ({{from}}).',
    },
    beyondSurvey: {
      title: 'Se excava fuera del levantamiento.',
    },
    stepHigh: {
      title: 'Los escalones de {{height}} superan el canto de la zapata, {{thickness}}.',
    },
    lapShort: {
      title: 'Los solapes de {{lap}} son menores que {{wanted}}.',
    },
    instructionWidth: {
      title: 'Ancho fijado por {{who}}: {{width}}.',
    },
    shallowSchool: {
      title: 'Cama superficial de {{bed}}: lo decide un ingeniero.',
    },
    servicesMarked: {
      title: 'Los servicios de aquí son los que alguien sabía.',
    },
    shored: {
      title: 'La entibación pide un proyectista con nombre.',
    },
    spoilNear: {
      title: '{{area}}: el montón está demasiado cerca del borde.',
    },
    rehandle: {
      title: '{{area}} estorba: {{volume}} movidos dos veces.',
    },
    areaOutside: {
      title: '{{area}} se sale de la parcela.',
    },
    noRoom: {
      title: '{{volume}} de tierra guardada no tienen sitio.',
    },
    reach: {
      title: '{{machine}} no llega al fondo.',
    },
    gate: {
      title: '{{gate}} es estrecha para {{machine}}.',
    },
    outsidePlot: {
      title: 'La excavación se sale {{area}} de la parcela.',
    },
  },
};
