/**
 * A drawn sign for each class of item, 24 by 24, in one line: drawn from the object itself. A class without one of its own has that of
 * the class above it.
 */
export const signs: Record<string, string> = {
    document: 'M6 3.500h8l4 4v13H6zM14 3.500v4h4',
    'document.guide':
        'M12 6.500C10 5 7 4.500 4 5v13c3-.5 6 0 8 1.500 2-1.500 5-2 8-1.500V5c-3-.5-6 0-8 1.500zM12 6.500v13',
    'document.contents': 'M6 3.500h12v17H6zM9 8h1M12 8h3.500M9 12h1M12 12h3.500M9 16h1M12 16h3.500',
    'document.card': 'M3.500 7h17v10h-17zM6.500 10.500h6M6.500 13.500h9',
    'document.authority': 'M6 3.500h12v17H6zM9 7.500h6M9 10.500h6M9 17c1.500-2.500 2-2.500 2.500-1s1 1 3.500-.5',
    dressing: 'M4 8h16v8H4zM9 8v8M15 8v8',
    'dressing.sterile': 'M4 6h16v12H4zM8 9.500h8v5H8z',
    'dressing.sterile.bandaged': 'M9 7h6v10H9zM2.500 10.500H9M2.500 13.500H9M15 10.500h6.500M15 13.500h6.500',
    'dressing.sterile.gauze': 'M5 5h14v14H5zM9.500 5v14M14.500 5v14M5 9.500h14M5 14.500h14',
    'dressing.sterile.gauze.packing': 'M4 8c3-3 5 3 8 0s5 3 8 0M4 12c3-3 5 3 8 0s5 3 8 0M4 16c3-3 5 3 8 0s5 3 8 0',
    'dressing.sterile.trauma': 'M3.500 6.500h17v11h-17zM6.500 9.500h11v5h-11z',
    'dressing.sterile.pad': 'M4 9h16v6H4zM4 9l2-3h12l2 3',
    'dressing.eye':
        'M3 12c2.500-4 5.500-6 9-6s6.500 2 9 6c-2.500 4-5.500 6-9 6s-6.500-2-9-6zM8 9l8 6M8 12l5 4M11 8l5 4',
    'dressing.finger': 'M9 21V8.500a3 3 0 0 1 6 0V21M9 12h6M9 15h6M9 18h6',
    'dressing.burn': 'M4 14h16v6H4zM12 3c.5 2.500 3 3.500 3 6a3 3 0 0 1-6 0c0-1.500 1-2 1.500-3.500',
    'dressing.film': 'M5 6h9a3 3 0 0 1 0 6H5zM5 12v7h14v-7M14 6a3 3 0 0 0 0 6',
    'dressing.pressure': 'M3 10h18v4H3zM8 7.500h8v9H8zM12 3v3M10.500 4.500 12 6l1.500-1.500',
    'dressing.haemostatic':
        'M4 15c3-3 5 3 8 0s5 3 8 0M4 19c3-3 5 3 8 0s5 3 8 0M12 3c2 2.800 3 4 3 5.500a3 3 0 0 1-6 0C9 7 10 5.800 12 3z',
    'dressing.nonadherent':
        'M5 7h14v10H5zM8 10.500h.01M12 10.500h.01M16 10.500h.01M8 13.500h.01M12 13.500h.01M16 13.500h.01',
    bandage: 'M12 5a7 7 0 1 0 0 14h8M12 9a3 3 0 1 0 0 6 3 3 0 0 0 0-6zM12 5a7 7 0 0 1 7 7v7',
    'bandage.triangular': 'M3 7h18l-9 11z',
    'bandage.conforming': 'M6 5h10v14H6a3 7 0 0 1 0-14zM6 5a3 7 0 0 1 0 14M16 19h5M10 9h6M10 13h6',
    'bandage.crepe': 'M6 5h10v14H6a3 7 0 0 1 0-14zM6 5a3 7 0 0 1 0 14M10 8l2 2-2 2 2 2-2 2M14 8l2 2-2 2 2 2-2 2',
    'bandage.roller': 'M6 7h12v10H6zM6 12h12M18 17h3M9 7v10M15 7v10',
    plaster:
        'M4.500 14.500l10-10a3.500 3.500 0 0 1 5 5l-10 10a3.500 3.500 0 0 1-5-5zM9 10l5 5M10 14.500h.01M12 12h.01M14 9.500h.01',
    'plaster.blister':
        'M12 5c4.500 0 7.500 3 7.500 7s-3 7-7.500 7-7.500-3-7.500-7 3-7 7.500-7zM12 9.500c2 0 3 1 3 2.500s-1 2.500-3 2.500-3-1-3-2.500 1-2.500 3-2.500z',
    wipe: 'M5 5h14v14H5zM5 9h14M9 13c1.500-1.500 3 1.500 6 0M9 16c1.500-1.500 3 1.500 6 0',
    tape: 'M11 4a8 8 0 1 0 0 16h10M11 9a3 3 0 1 0 0 6 3 3 0 0 0 0-6zM19 12a8 8 0 0 0-8-8M19 12v8',
    'tape.elastic': 'M11 4a8 8 0 1 0 0 16h10M11 9a3 3 0 1 0 0 6 3 3 0 0 0 0-6zM13 20l1.500-2 1.500 2 1.500-2 1.500 2',
    gloves: 'M8 21v-6l-2.500-4a1.300 1.300 0 0 1 2-1.500L9 11V5a1.300 1.300 0 0 1 2.500 0v4V4a1.300 1.300 0 0 1 2.500 0v5-4a1.300 1.300 0 0 1 2.500 0v6l-.5 4v6z',
    resuscitation: 'M4 8h16v9H4zM8 12.500c2-1.600 6-1.600 8 0-2 1.600-6 1.600-8 0z',
    'resuscitation.barrier': 'M4 6h16v13H4zM12 10a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5z',
    'resuscitation.barrier.mask': 'M12 4v4M10 4h4M6 19c-1.500-5 2-11 6-11s7.500 6 6 11c-3.500 1.500-8.500 1.500-12 0z',
    'resuscitation.child': 'M6.500 8h11v9h-11zM12 11a1.500 1.500 0 1 0 0 3 1.500 1.500 0 0 0 0-3z',
    blanket: 'M4 7h16v12H4zM4 11h16M8 11v8',
    'blanket.foil': 'M4 6h16v13H4zM4 6l5 4-2 4 4 5M20 6l-6 5 3 3-3 5M9 10l5 1',
    'blanket.heating': 'M4 14h16v6H4zM8 11c-1.500-2 1.500-3 0-6M12 11c-1.500-2 1.500-3 0-6M16 11c-1.500-2 1.500-3 0-6',
    'blanket.wool': 'M4 6h16v11H4zM4 9h16M6 17v3M9 17v3M12 17v3M15 17v3M18 17v3',
    gel: 'M8 4h8l-1.500 13h-5zM9.500 17v3.500h5V17M7.500 8h9',
    'gel.burn': 'M5 4h14v16H5zM5 7h14M12 9.500c.4 2 2.500 2.800 2.500 5a2.500 2.500 0 0 1-5 0c0-1.300.8-1.800 1.200-3',
    shears: 'M7 15.500a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5zM14 16a2.300 2.300 0 1 0 4.500 0 2.300 2.300 0 0 0-4.500 0zM8.500 16 15 4l2 2-4.500 6M15 14.500 6.500 5',
    'shears.small':
        'M7.500 15a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5zM16.500 15a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5zM8.500 15.300 15.500 5M15.500 15.300 8.500 5',
    tourniquet: 'M3.500 9.500h17v5h-17zM6 6l12 12M9 9.500v5M17 9.500v5',
    training: 'M12 5 2.500 9 12 13l9.500-4zM6.500 11v5c3 2.500 8 2.500 11 0v-5M21.500 9v6',
    'chest-seal': 'M12 4a8 8 0 1 0 0 16 8 8 0 0 0 0-16zM12 12 8 6.500M12 12l4-5.500M12 12v7',
    record: 'M6 4h12v16H6zM9 8h6M9 12h6',
    'record.marker': 'M5 19l1-4L16 5l3 3L9 18zM14 7l3 3M5 19l2-.5',
    'record.notebook': 'M7 3.500h12v17H7zM7 7H4.500M7 12H4.500M7 17H4.500M10.500 8h5M10.500 11h5',
    'record.card': 'M5 5h14v10H5zM7 15v4h14V9h-2M8 9h8M8 12h5',
    'record.handover': 'M3.500 6h9v12h-9zM6 10h4M6 13h4M15 12h6M18.500 9l2.500 3-2.500 3',
    closure: 'M3.500 12h17M7 7l1.500 10M12 7v10M17 7l-1.500 10',
    wash: 'M12 3c3.500 5 5.500 7.500 5.500 11a5.500 5.500 0 0 1-11 0C6.500 10.500 8.500 8 12 3z',
    'wash.eye':
        'M4 13c2.200-3 5-4.500 8-4.500s5.800 1.500 8 4.500c-2.200 3-5 4.500-8 4.500S6.200 16 4 13zM12 11a2 2 0 1 0 0 4 2 2 0 0 0 0-4zM12 3v2.500M8 3.500l.5 2M16 3.500l-.5 2',
    'wash.eye.bottle':
        'M9 9V6h6v3M10 6V3.500h4V6M7 21V11l2-2h6l2 2v10zM9 16c1-1.300 2-2 3-2s2 .7 3 2c-1 1.300-2 2-3 2s-2-.7-3-2z',
    irrigation:
        'M9 3.500h6v3l2 3V20H7V9.500l2-3zM12 11.500c1.300 1.800 2 2.700 2 3.800a2 2 0 0 1-4 0c0-1.100.7-2 2-3.800z',
    'irrigation.water': 'M10 3h4v3l3 4v11H7V10l3-4zM7 14c2-1.300 3 1.300 5 0s3 1.300 5 0',
    pack: 'M4 7h16v10H4zM8 7v10M16 7v10',
    'pack.cold': 'M4 6h16v12H4zM7.500 9v3M12 9v5.500M16.500 9v3',
    'pack.heat':
        'M4 6h16v12H4zM9 15.500c-1.300-1.700 1.300-2.600 0-6M12 15.500c-1.300-1.700 1.300-2.600 0-6M15 15.500c-1.300-1.700 1.300-2.600 0-6',
    shelter: 'M12 4 3 19h18zM12 4v15',
    'shelter.bag': 'M7 4h10l1 14c0 2-12 2-12 0zM7 8h10M10 4v4',
    'shelter.shade': 'M12 4c5 0 8.500 3.500 9 8H3c.5-4.500 4-8 9-8zM12 12v8M9 12c0-4 1.500-7 3-8 1.500 1 3 4 3 8',
    splint: 'M8 3.500h8v17H8zM8 8h8M8 16h8M12 8v8',
    'splint.finger': 'M9.500 3.500h5v17h-5zM9.500 8.500h5M9.500 15.500h5M12 12h.01',
    'splint.pelvic': 'M3 9c5 2.500 13 2.500 18 0v6c-5 2.500-13 2.500-18 0zM10 10.700h4v5.600h-4z',
    tool: 'M14.500 6a4 4 0 0 0 4.500 5L10 20l-3-3 9-9z',
    'tool.tweezers': 'M10 4 5.500 20M14 4l4.500 16M10 4h4M8.500 9.500h7',
    'tool.tick': 'M5 19 14 10M14 10c3-3 6-1 6 1.500M14 10c-1-3 1-6 4-5.500M11 13l2 2',
    'tool.probe': 'M4 20 15 9M15 9l5-5M13.500 7.500l3 3',
    'tool.light': 'M9 10V5h6v5l-1.500 3v7h-3v-7zM9 10h6M12 15.500v1.500',
    'tool.light.head':
        'M4 12c0-5 3.500-8 8-8s8 3 8 8M8.500 11h7v6h-7zM12 12.800a1.300 1.300 0 1 0 0 2.600 1.300 1.300 0 0 0 0-2.600z',
    'tool.light.hand': 'M3 9h5l3 1.500h9v4h-9L8 16H3zM15 11.500h2',
    'tool.light.pen': 'M4 20l2-4L17 5l2 2L8 18zM19 7l2-2M15 7l2 2',
    'tool.thermometer': 'M10 13V5a2 2 0 0 1 4 0v8a4 4 0 1 1-4 0zM12 9v7M16 7h2M16 10h2',
    'tool.cup': 'M6 6h12l-1.500 14h-9zM6.500 11h11M7.100 15.500h9.800',
    'tool.tape':
        'M11 5a7 7 0 1 0 0 14h9M11 9.500a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5zM18 12a7 7 0 0 0-7-7M18 12v7M14.500 19l1-2M17 19l1-2',
    waste: 'M6 8h12l-1 12H7zM4.500 8h15M9 8V5h6v3',
    'waste.sharps': 'M6 9h12l-1 12H7zM4.500 9h15M16.500 2.500 12 8M9.500 15l2.500-2.500 2.500 2.500-2.500 2.500z',
    'safety-pin': 'M4 15.500c0-2 1.500-3 3-3h12M7 19.500h11c3 0 3-4 1-5.500M7 12.500a3.500 3.500 0 1 0 0 7',
    bag: 'M6 8h12l1 12H5zM9 8c0-5 6-5 6 0',
    'bag.clip': 'M5 5h14v15H5zM5 8.500h14M15 8.500V5',
    'bag.waste': 'M8 8c-3 3-4 8-2.500 12h13C20 16 19 11 16 8zM9 4h6l-1 4h-4z',
    'bag.sick': 'M7 7h10l1.500 13h-13zM7 7c0-2.500 10-2.500 10 0s-10 2.500-10 0z',
    'bag.dry': 'M7 9h10v11H7zM7 9c0-2 1-3 2-4h6c1 1 2 2 2 4M9 5h6M7 14h10',
    sanitizer: 'M8 9h8v11H8zM10 9V6h4v3M12 6V4h5v2',
    antiseptic: 'M5 6h14v12H5zM5 9.500h14M9.500 6v3.500M9 13.500h.01M12 15.500h.01M15 13.500h.01',
    disinfectant: 'M8 10h8v10H8zM10 10V7h4v3M10 7H7V4h8l2 3M19.500 4h.01M21 6h.01M19.500 8h.01',
    spill: 'M5 19c0-2.500 3-3 5-3s1-2 4-2 5 2 5 5zM12 3c1.800 2.500 2.500 3.500 2.500 5a2.500 2.500 0 0 1-5 0c0-1.500.7-2.500 2.500-5z',
    medicine: 'M8 8h8v12H8zM7 4h10v4H7zM8 12h8M8 16h8',
    'medicine.topical': 'M9 3.500h6l1.500 13h-9zM9.500 16.500v4h5v-4M8 9h8.500',
    'medicine.oral':
        'M6.500 10.500l4-4a4 4 0 0 1 5.700 0l1.300 1.300a4 4 0 0 1 0 5.700l-4 4a4 4 0 0 1-5.700 0l-1.300-1.300a4 4 0 0 1 0-5.700zM9 9l6 6',
    'medicine.injector': 'M9 6h6v11H9zM10.500 3h3v3h-3zM12 17v4.500M9 9.500h6M9 13.500h6',
    'medicine.inhaled': 'M8 3.500h5v6H8zM7 9.500h7l6 7-3.500 3.500-5-5H7z',
    food: 'M5 10h14c0 6-3 9-7 9s-7-3-7-9zM9 7c0-1.500 1.500-1.500 1.500-3M13 7c0-1.500 1.500-1.500 1.500-3',
    'food.glucose': 'M8.500 3.500h7L17 17H7zM9.500 17v3.500h5V17M8 8h8M10 11h4v3h-4z',
    'food.electrolyte': 'M5 4h9v16H5zM5 7.500h9M17 12h.01M19 10h.01M19 14h.01M21 12h.01M8 12h3M8 15h3',
    power: 'M7 8h10v12H7zM10 8V5h4v3M12 11l-1.500 3h3L12 17',
    signal: 'M3 10h9a5 5 0 1 1-4.500 7.500M3 10v4h5M12 10V7M9 10V7',
    airway: 'M9 3h6v4h-6zM12 7v6a4 4 0 0 0 4 4h4',
    'airway.nasal': 'M4 5h4v4H4zM6 9c0 8 5 11 14 11M8 9c0 5 4 8 12 8M20 17v3',
    'airway.lubricant':
        'M5 4h14v16H5zM5 7.500h14M12 10.500c1.700 2.300 2.500 3.300 2.500 4.700a2.500 2.500 0 0 1-5 0c0-1.400.8-2.400 2.500-4.700z',
    'airway.spacer': 'M3 10h3v4H3zM6 8h12v8H6zM18 10l3-1v6l-3-1M10 8v8M14 8v8',
    defibrillator:
        'M3 5h7v9H3zM14 10h7v9h-7zM6.500 14c0 5 2 6 7.500 6M10 8l-2 2M17.500 12.500l-1.500 2.500h3l-1.500 2.500',
    water: 'M8 5h8v14H8zM10 5V3h4v2M8 12c1.500-1 2.500 1 4 0s2.500 1 4 0',
    skin: 'M9 3.500h6l1 11H8zM9.500 14.500v6h5v-6M12 7.500a1.800 1.800 0 1 0 0 3.600 1.800 1.800 0 0 0 0-3.600z',
    rescue: 'M12 6c4.500 0 8 1.300 8 3s-3.500 3-8 3-8-1.300-8-3 3.500-3 8-3zM4 9v4c0 1.700 3.500 3 8 3s8-1.300 8-3V9M4 13v4c0 1.700 3.500 3 8 3 3 0 5.500-.6 7-1.500L21 21',
    needle: 'M9 3.500h6v6H9zM10 9.500h4l-.7 5h-2.600zM12 14.500V21',
};

/** What a class without a drawing anywhere above it has. */
export const plainSign = 'M12 4l7.500 4v8L12 20l-7.500-4V8zM4.500 8l7.500 4 7.500-4M12 12v8';

export function signOf(named: string): string {
    const parts = named.split('.');
    while (parts.length > 0) {
        const sign = signs[parts.join('.')];
        if (sign !== undefined) {
            return sign;
        }
        parts.pop();
    }
    return plainSign;
}
