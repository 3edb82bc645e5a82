<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en" sourcelanguage="en">
<context>
    <name>Core</name>
    <message numerus="yes">
        <source>Root mean square over {} readings; the furthest is {} at {}, {} below.</source>
        <translation>
            <numerusform>Over {} reading: {} at {} is {} below.</numerusform>
            <numerusform>Root mean square over {} readings; the furthest is {} at {}, {} below.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Root mean square over {} readings; the furthest is {} at {}, {} above.</source>
        <translation>
            <numerusform>Over {} reading: {} at {} is {} above.</numerusform>
            <numerusform>Root mean square over {} readings; the furthest is {} at {}, {} above.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} readings are too few to tell a beam from its height: {} are needed</source>
        <translation>
            <numerusform>{} reading is too few to tell a beam from its height: {} are needed</numerusform>
            <numerusform>{} readings are too few to tell a beam from its height: {} are needed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} points, {} from the truth.</source>
        <translation>
            <numerusform>{} point, {} from the truth.</numerusform>
            <numerusform>{} points, {} from the truth.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} points on {} planes.</source>
        <translation>
            <numerusform>{} point on {} plane.</numerusform>
            <numerusform>{} points on {} planes.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} of them are marked doubtful.</source>
        <translation>
            <numerusform>{} of them is marked doubtful.</numerusform>
            <numerusform>{} of them are marked doubtful.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>± {} %, from {} returns to reference points.</source>
        <translation>
            <numerusform>± {} %, from {} return to a reference point.</numerusform>
            <numerusform>± {} %, from {} returns to reference points.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>From {} points read twice or more; it goes into every interval.</source>
        <translation>
            <numerusform>From {} point read twice or more; it goes into every interval.</numerusform>
            <numerusform>From {} points read twice or more; it goes into every interval.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} readings came without their swing: 2 % was assumed.</source>
        <translation>
            <numerusform>{} reading came without its swing: 2 % was assumed.</numerusform>
            <numerusform>{} readings came without their swing: 2 % was assumed.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>has {} values, the line above has {}</source>
        <translation>
            <numerusform>has {} value, the line above has {}</numerusform>
            <numerusform>has {} values, the line above has {}</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>has {} fields, the header has {}</source>
        <translation>
            <numerusform>has {} field, the header has {}</numerusform>
            <numerusform>has {} fields, the header has {}</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>is longer than {} bytes</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>has more than {} cells</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>makes more than {} emitters</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} rows could not be read</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>are more than {}</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} of the readings are means read by others: their meter and their heights are taken as they say.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} wavelengths</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} whole days at its own place, which is not the plane&apos;s.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} gaps in all.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} rows</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} wavelengths beyond 200–1200 nm are left out</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} values a little below 0 are taken for 0</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} spectra</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} things differ at once</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} free points</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} more are not ranked</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>{} readings are too few even beside those of other channels: {} are needed</source>
        <translation>
            <numerusform>{} reading is too few even beside those of other channels: {} are needed</numerusform>
            <numerusform>{} readings are too few even beside those of other channels: {} are needed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Read at {} points only, its light leans on that of {}: from there come height, place and walls, and its beam is taken to be like that one within a tenth.</source>
        <translation>
            <numerusform>Read at {} point only, its light leans on that of {}: from there come height, place and walls, and its beam is taken to be like that one within a tenth.</numerusform>
            <numerusform>Read at {} points only, its light leans on that of {}: from there come height, place and walls, and its beam is taken to be like that one within a tenth.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>has more than {} fixtures</source>
        <translation>
            <numerusform>has more than {} fixture</numerusform>
            <numerusform>has more than {} fixtures</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::DayLogDialog</name>
    <message numerus="yes">
        <source>%n values</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>, %n rows without one</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>, %n whole days</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::LedgerLine</name>
    <message numerus="yes">
        <source>%n findings</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::MainWindow</name>
    <message numerus="yes">
        <source>and %n more</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::MatrixView</name>
    <message numerus="yes">
        <source>%n doubts</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::PublishStage</name>
    <message numerus="yes">
        <source>The review, %n page(s)</source>
        <translation>
            <numerusform>The review, %n page</numerusform>
            <numerusform>The review, %n pages</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n card(s), one review, one package</source>
        <translation>
            <numerusform>%n card, one review, one package</numerusform>
            <numerusform>%n cards, one review, one package</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n doubt(s) printed</source>
        <translation>
            <numerusform>%1: %n doubt printed</numerusform>
            <numerusform>%1: %n doubts printed</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::ScanDialog</name>
    <message numerus="yes">
        <source>%n scans, %1 µmol·m⁻²·s⁻¹, swing ±%2%3%4</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::SpectrumStage</name>
    <message numerus="yes">
        <source>%n points</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n spectra</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n spectra kept</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n moments</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n points, %1 down</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n spectra written to %1</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
</TS>
