<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en">
<context>
    <name>CoatPage</name>
    <message numerus="yes">
        <source>%n stroke(s) painted on the stage. The grams are shared among them.</source>
        <translation>
            <numerusform>%n stroke painted on the stage. It takes the grams.</numerusform>
            <numerusform>%n strokes painted on the stage. The grams are shared among them.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>SnapPage</name>
    <message numerus="yes">
        <source>%n bar(s): they break at %1 MPa, the mean of all such bars lies between %2 and %3 with nine chances in ten. </source>
        <translation>
            <numerusform>%n bar: it breaks at %1 MPa, the mean of all such bars lies between %2 and %3 with nine chances in ten. </numerusform>
            <numerusform>%n bars: they break at %1 MPa, the mean of all such bars lies between %2 and %3 with nine chances in ten. </numerusform>
        </translation>
    </message>
</context>
<context>
    <name>uovo::desktop::AdvisorPage</name>
    <message numerus="yes">
        <source>%n makings were computed on a coarse profile or mesh, the ones shown on the full one. How many miss it comes from the ranges of your chocolate, ladle and clock.</source>
        <translation>
            <numerusform>%n making was computed on a coarse profile or mesh, the ones shown on the full one. How many miss it comes from the ranges of your chocolate, ladle and clock.</numerusform>
            <numerusform>%n makings were computed on a coarse profile or mesh, the ones shown on the full one. How many miss it comes from the ranges of your chocolate, ladle and clock.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>uovo::desktop::BenchPlace</name>
    <message numerus="yes">
        <source>%n steps, ready at %1.</source>
        <translation>
            <numerusform>%n step, ready at %1.</numerusform>
            <numerusform>%n steps, ready at %1.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n min in hand</source>
        <translation>
            <numerusform>%n min in hand</numerusform>
            <numerusform>%n min in hand</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n min late</source>
        <translation>
            <numerusform>%n min late</numerusform>
            <numerusform>%n min late</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>, %n broke</source>
        <translation>
            <numerusform>, %n broke</numerusform>
            <numerusform>, %n broke</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>, %n to spare</source>
        <translation>
            <numerusform>, %n to spare</numerusform>
            <numerusform>, %n to spare</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n steps were left out.</source>
        <translation>
            <numerusform>%n step was left out.</numerusform>
            <numerusform>%n steps were left out.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n things happened; they are in the log of this day.</source>
        <translation>
            <numerusform>%n thing happened; it is in the log of this day.</numerusform>
            <numerusform>%n things happened; they are in the log of this day.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>uovo::desktop::RunKeeper</name>
    <message numerus="yes">
        <source>Ready at %1, %n min late.</source>
        <translation>
            <numerusform>Ready at %1, %n min late.</numerusform>
            <numerusform>Ready at %1, %n min late.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n min less in hand.</source>
        <translation>
            <numerusform>%n min less in hand.</numerusform>
            <numerusform>%n min less in hand.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n more steps move.</source>
        <translation>
            <numerusform>%1 and %n more step move.</numerusform>
            <numerusform>%1 and %n more steps move.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>uovo::desktop::SolidStage</name>
    <message numerus="yes">
        <source>%n stroke(s). Shift and click wipes one off.</source>
        <translation>
            <numerusform>%n stroke. Shift and click wipes it off.</numerusform>
            <numerusform>%n strokes. Shift and click wipes one off.</numerusform>
        </translation>
    </message>
</context>
</TS>
