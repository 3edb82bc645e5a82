<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name>Core</name>
    <message>
        <source>needs two angles or more and as many values of relative</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has {} angles, at most {} are read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must ascend within 0…90, value {} does not</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 0 or more, value {} is not</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a finite number of 0 or more, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 0 and 90, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is too narrow to be told from 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>carries no light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the tank of this run is not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fixture&apos;s beam is not described: give its half angle or a photometric file in Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>an accessory changes the beam, and only the bare fixture&apos;s is described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fitted model is {} off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The description fits to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The description is off by {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} along, {} across</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>Root mean square over {} readings; the furthest is {} at {}, {} below.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Root mean square over {} readings; the furthest is {} at {}, {} above.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>It emits {} µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By the fit to all readings of this configuration, walls and water included.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings imply {} µmol/s emitted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is {} of the flux described. Model values are scaled to the readings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No flux is described; model values are scaled to the readings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No model of this run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Reason: {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of the water in {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By the model, in cells of {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is no run to fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fixture&apos;s emitters are not described; {} fits the readings best.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its tank is not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its mounting height is not above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is no reading to fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} readings are too few to tell a beam from its height: {} are needed</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>all readings lie at the same distance from the fixture: they say nothing of its beam</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one plane cannot tell the beam from the height: read a second depth or height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fit was cancelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the readings contradict each other: no beam gives them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the reading belongs to a run that is not fitted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the reading does not count or lies outside the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flux</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height offset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>place along</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>place across</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>attenuation</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>painted walls&apos; reflectance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The readings do not tell the {}: it stays what was believed before, ± {} {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A brighter fixture higher up would give the same readings: level and height cannot be told apart.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 1 or more, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>asks for {} nodes, at most {} are computed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie within {}…{}, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>have more than {} emitters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must ascend within 200…1200</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 0 or more at every wavelength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>two or more are needed to tell how sure the factor is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the two meters differ by more than three times: they did not see the same light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not understood: write wavelength: response, such as 400: 0.8, 550: 1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} nm does not come after {} nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no reading yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} points, {} from the truth.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>{} of {} planted slips found.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} s a point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a first wavelength, a step and W or umol before its values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs two values or more, all numbers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The water is still.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The water is moving.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The run says still.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The run says moving.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The run says dry.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A draw is 0 W or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} W; the fixture&apos;s rating is not described, so nothing says whether that is right.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} W, {} of the rating.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} W. This channel draws nothing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} W of {} W rated, {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>As it should be.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: a driver may be dead. Find out before reading.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: more than it is rated for. Find out why.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to compare.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Channels one by one draw {} W, together {} W.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One of them is not on when all should be.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} % a minute, known to ± {} %:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} % a minute:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not known well enough yet. Calm the water or wait.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>steady.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not steady yet. Wait.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} with the fixture off, {} of the dimmest point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} with the fixture off, limit {} before anything is read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dark enough.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Other light is on: find it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The probe stands {}° off level.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Light from one side counts too much. Level it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} mm measured again, {} mm planned, {} mm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>As planned.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hang it again, or make it the run&apos;s height.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no water, and the meter is in its water mode.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No water, no immersion factor: as it should be.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter multiplies by {} itself: once, and only once.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Glumet multiplies by {}: once, and only once.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter multiplies already, and Glumet would again by {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter multiplies, and its profile says nobody does.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter is in its air mode, and its profile says the meter multiplies.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No factor is needed for this sensor.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nobody multiplies by {}: readings would be low.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Both readings must be above 0.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} shown, {} expected: {} %, allowed ± {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter tells the truth within its word.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter is off by more than it claims.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>draw at the wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>warm-up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dark reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>probe level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height measured again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion factor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>meter against a truth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not made</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Bright middle, thin edge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Brighter in the middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Middle and edge agree</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The edge beats the middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The centre reads {} times the outer ring at {}: {} against {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of this plane in {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of {} points; {} too dim, {} too bright.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} left at {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The mean goes from {} at {} to {} there.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It draws {} W of {} W rated.</source>
        <translation>Sie nimmt {} W von {} W Nennleistung auf.</translation>
    </message>
    <message>
        <source>The draw agrees with the rating</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Find out why before trusting this run: a driver may be dead.</source>
        <translation>Erst die Ursache finden, dann dieser Reihe trauen: ein Treiber kann ausgefallen sein.</translation>
    </message>
    <message>
        <source>Draws {} of its rating</source>
        <translation>Nimmt {} der Nennleistung auf</translation>
    </message>
    <message>
        <source>Other light was on</source>
        <translation>Anderes Licht war an</translation>
    </message>
    <message>
        <source>With the fixture off the meter still read {}: {} of the dimmest point.</source>
        <translation>Bei ausgeschalteter Leuchte zeigte das Messgerät noch {}: {} des dunkelsten Punkts.</translation>
    </message>
    <message>
        <source>{} disagrees with its mirror</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} against {} at {}, {} apart. Read it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} under water: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Go on at {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This run is complete; that one lacks points {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This sweep is complete</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Height says how high to hang it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing read here yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure takes the readings of this plane.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is next</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Put the probe there; space takes the mean once it has settled.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This plane is complete</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lower the probe to {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a fixture first</source>
        <translation>Zuerst eine Leuchte beschreiben</translation>
    </message>
    <message>
        <source>Or import readings: the fixture is made from the file.</source>
        <translation>Oder Messwerte einlesen: die Leuchte wird aus der Datei angelegt.</translation>
    </message>
    <message>
        <source>Describe the tank</source>
        <translation>Das Becken beschreiben</translation>
    </message>
    <message>
        <source>Length, width and water depth place the grid.</source>
        <translation>Länge, Breite und Wassertiefe legen das Raster fest.</translation>
    </message>
    <message>
        <source>{} at {}: {}</source>
        <translation>{} bei {}: {}</translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not understood: write name, range along the length × range along the width, such as brace 28–32 × 0–60</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; lies outside the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not understood: write lengths such as 12, 15, 18 or 12–30 by 3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>more than 200 steps are asked for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>more than 200 lengths are asked for</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} points on {} planes.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>It may take {} to {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At your pace of {} s a point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At a usual pace.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {}, {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan the first runs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;Add runs&quot; makes them from a method: heights, depths and a grid.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of {} points read</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} of them are marked doubtful.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>None is marked doubtful.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>About {} left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All that is planned is read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} stops work</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: overruled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Overruled: {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of {} checks are not made</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} reads {} above what the field around it says ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} reads {} below what the field around it says ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} reads {} above the fitted field ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} reads {} below the fitted field ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} against {} at its mirror {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>marked by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the reference point has changed by {} since its first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its mean {} under water is {} above what the other heights say.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its mean {} under water is {} below what the other heights say.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It reads as if it hung {} higher.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It reads as if it hung {} lower.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure its height, draw and meter mode again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} does not fit the sweep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The bench drifts {} % an hour</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>± {} %, from {} returns to reference points.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>Readings repeat to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>From {} points read twice or more; it goes into every interval.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>{} should be read again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not described in Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is below the bottom of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; lies outside {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} does not fit over {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no point of it can be reached</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>are missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be above the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must have 1 to 60 columns and rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 1 and 20</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>need two fixtures or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Height sweep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Raise in steps and read the same shallow plane each time: where light begins to spill.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Three-depth map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Three heights, three depths, the whole grid: the field of one fixture.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spacing sweep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Two fixtures moved outward in steps, read at mid depth where they overlap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Channel by channel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each channel alone at one height, and all together.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With and without</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The same runs bare and with each accessory.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Generation against generation</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Two fixtures, the same heights and planes, one after the other.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spots before and after</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Named places, read before a change and again after it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending in air</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nine places under the fixture in a dry tank, repeated higher up: how channels blend.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no reading that counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} readings lie {} off the prediction in mean, {} of them within two standard errors.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No single cause explains it: the field differs in shape.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>names no tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be above 0 mm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 0 and 150 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie within the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must have 1 to 200 cells a side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must not be below the lowest allowed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must not be above the highest allowed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No height or depth is offered.</source>
        <translation>Keine Höhe oder Tiefe wird angeboten.</translation>
    </message>
    <message>
        <source>The modelled loss does not reach {} up to {}.</source>
        <translation>Der berechnete Verlust erreicht {} bis {} nicht.</translation>
    </message>
    <message>
        <source>The height is known to ± {}: more readings will not move it.</source>
        <translation>Die Höhe ist auf ± {} bekannt: weitere Messwerte werden sie nicht verschieben.</translation>
    </message>
    <message>
        <source>The height is known to ± {}; ± {} is wanted.</source>
        <translation>Die Höhe ist auf ± {} bekannt; gewünscht ist ± {}.</translation>
    </message>
    <message>
        <source>By the fit, {} ± {}</source>
        <translation>Nach der Anpassung {} ± {}</translation>
    </message>
    <message>
        <source>Reading {} at {} deep tells most</source>
        <translation>{} in {} Tiefe zu messen sagt am meisten</translation>
    </message>
    <message>
        <source>It would bring the height to ± {}.</source>
        <translation>Das brächte die Höhe auf ± {}.</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>keine Aussage</translation>
    </message>
    <message>
        <source>The peak of {} stays under {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The peak of {} breaks the ceiling of {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The bottom gets {} or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The bottom gets {} where {} is asked.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No level up to 100 % brings any point into the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} % puts {} of the points into {}; 5 % less leaves {}, 5 % more {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Anything from {} to {} % does about as well.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No channel has been read by itself.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No mix of the channels brings any point into the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} of the points in the band; all equally dimmed reach {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No mix keeps ceiling and floor.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} gets {} ({} at {} % for itself)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {} %: {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Costs {} of the light</source>
        <translation>Kostet {} des Lichts</translation>
    </message>
    <message>
        <source>Gains {} of the light</source>
        <translation>Bringt {} des Lichts</translation>
    </message>
    <message>
        <source>{} off the peak</source>
        <translation>{} weniger in der Spitze</translation>
    </message>
    <message>
        <source>{} onto the peak</source>
        <translation>{} mehr in der Spitze</translation>
    </message>
    <message>
        <source>the edge loses {}</source>
        <translation>der Rand verliert {}</translation>
    </message>
    <message>
        <source>the edge gains {}</source>
        <translation>der Rand gewinnt {}</translation>
    </message>
    <message>
        <source>Raising from {} to {}</source>
        <translation>Anheben von {} auf {}</translation>
    </message>
    <message>
        <source>Lowering from {} to {}</source>
        <translation>Absenken von {} auf {}</translation>
    </message>
    <message>
        <source>The maker says {}</source>
        <translation>Der Hersteller sagt {}</translation>
    </message>
    <message>
        <source>This school agrees within its doubt.</source>
        <translation>Diese Schule stimmt im Rahmen ihrer Unsicherheit zu.</translation>
    </message>
    <message>
        <source>This school hangs it higher.</source>
        <translation>Diese Schule hängt höher.</translation>
    </message>
    <message>
        <source>This school hangs it lower.</source>
        <translation>Diese Schule hängt niedriger.</translation>
    </message>
    <message>
        <source>Sure to {}</source>
        <translation>Sicher auf {}</translation>
    </message>
    <message>
        <source>At least {}</source>
        <translation>Mindestens {}</translation>
    </message>
    <message>
        <source>Placing and ripple make up the doubt; the meter&apos;s own calibration cancels.</source>
        <translation>Platzierung und Wellen machen die Unsicherheit aus; die Kalibrierung des Messgeräts hebt sich auf.</translation>
    </message>
    <message numerus="yes">
        <source>{} readings came without their swing: 2 % was assumed.</source>
        <translation>
            <numerusform>{} Messwert kam ohne seine Schwankung: 2 % wurden angenommen.</numerusform>
            <numerusform>{} Messwerte kamen ohne ihre Schwankung: 2 % wurden angenommen.</numerusform>
        </translation>
    </message>
    <message>
        <source>No height can be named yet</source>
        <translation>Noch lässt sich keine Höhe nennen</translation>
    </message>
    <message>
        <source>Hang it {} over the water</source>
        <translation>{} über dem Wasser aufhängen</translation>
    </message>
    <message>
        <source>Evidence with a hole</source>
        <translation>Belege mit einer Lücke</translation>
    </message>
    <message>
        <source>Read higher</source>
        <translation>Höher messen</translation>
    </message>
    <message>
        <source>The limit was not reached, so the answer may lie above.</source>
        <translation>Die Grenze wurde nicht erreicht, die Antwort kann also darüber liegen.</translation>
    </message>
    <message>
        <source>The flattest field needs complete grids with rings at three heights or more.</source>
        <translation>Das ebenste Feld braucht vollständige Raster mit Ringen in drei oder mehr Höhen.</translation>
    </message>
    <message>
        <source>centre and edge {} apart</source>
        <translation>Mitte und Rand {} auseinander</translation>
    </message>
    <message>
        <source>At {} centre and edge are {} apart over all depths, the least of {} heights.</source>
        <translation>Bei {0} liegen Mitte und Rand über alle Tiefen {1} auseinander, am wenigsten von {2} Höhen.</translation>
    </message>
    <message>
        <source>At {}, the lowest read, centre and edge are {} apart, the least of all: the flattest field may lie beyond.</source>
        <translation>Bei {}, der niedrigsten gemessenen Höhe, liegen Mitte und Rand {} auseinander, am wenigsten von allen: das ebenste Feld kann darunter liegen.</translation>
    </message>
    <message>
        <source>At {}, the highest read, centre and edge are {} apart, the least of all: the flattest field may lie beyond.</source>
        <translation>Bei {}, der höchsten gemessenen Höhe, liegen Mitte und Rand {} auseinander, am wenigsten von allen: das ebenste Feld kann darüber liegen.</translation>
    </message>
    <message>
        <source>Band fill needs complete planes at one height or more.</source>
        <translation>Die Bandfüllung braucht vollständige Ebenen in mindestens einer Höhe.</translation>
    </message>
    <message>
        <source>{} in band at {}</source>
        <translation>{} im Band bei {}</translation>
    </message>
    <message>
        <source>No point reaches {} at any height, however dimmed.</source>
        <translation>Kein Punkt erreicht {} in irgendeiner Höhe, wie weit auch gedimmt.</translation>
    </message>
    <message>
        <source>At {} and {} output {} of all points lie in {}, more than at any other height.</source>
        <translation>Bei {} und {} Leistung liegen {} aller Punkte in {}, mehr als in jeder anderen Höhe.</translation>
    </message>
    <message>
        <source>The peak cap needs complete planes at one height or more.</source>
        <translation>Der Spitzendeckel braucht vollständige Ebenen in mindestens einer Höhe.</translation>
    </message>
    <message>
        <source>peak {}</source>
        <translation>Spitze {}</translation>
    </message>
    <message>
        <source>Even at {}, the highest read, the peak is {}, above {}: hang it higher or dim it.</source>
        <translation>Selbst bei {}, der höchsten gemessenen Höhe, ist die Spitze {}, über {}: höher hängen oder dimmen.</translation>
    </message>
    <message>
        <source>At {} the peak is {}, within {}, already at the lowest height read.</source>
        <translation>Bei {} ist die Spitze {}, innerhalb von {}, schon in der niedrigsten gemessenen Höhe.</translation>
    </message>
    <message>
        <source>At {} the peak is {}, within {}; at {} it was {}.</source>
        <translation>Bei {} ist die Spitze {}, innerhalb von {}; bei {} war sie {}.</translation>
    </message>
    <message>
        <source>{} lost</source>
        <translation>{} verloren</translation>
    </message>
    <message>
        <source>The maker&apos;s claim is not described.</source>
        <translation>Die Angabe des Herstellers ist nicht beschrieben.</translation>
    </message>
    <message>
        <source>Above {} more light is lost than the spill limit allows.</source>
        <translation>Über {} geht mehr Licht verloren, als die Verlustgrenze erlaubt.</translation>
    </message>
    <message>
        <source>Below {} the peak is above the ceiling.</source>
        <translation>Unter {} liegt die Spitze über der Obergrenze.</translation>
    </message>
    <message>
        <source>The peak is above the ceiling at every height read.</source>
        <translation>Die Spitze liegt in jeder gemessenen Höhe über der Obergrenze.</translation>
    </message>
    <message>
        <source>spills too much</source>
        <translation>verliert zu viel</translation>
    </message>
    <message>
        <source>too bright</source>
        <translation>zu hell</translation>
    </message>
    <message>
        <source>holds</source>
        <translation>gehalten</translation>
    </message>
    <message>
        <source>Nothing was read within the maker&apos;s {}.</source>
        <translation>Innerhalb der {} des Herstellers wurde nichts gemessen.</translation>
    </message>
    <message>
        <source>The maker&apos;s {} holds against the spill limit and the peak cap.</source>
        <translation>Die {} des Herstellers bestehen gegen Verlustgrenze und Spitzendeckel.</translation>
    </message>
    <message>
        <source>The maker says {}.</source>
        <translation>Der Hersteller sagt {}.</translation>
    </message>
    <message>
        <source>not computed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spill limit</source>
        <translation>Verlustgrenze</translation>
    </message>
    <message>
        <source>flattest</source>
        <translation>am ebensten</translation>
    </message>
    <message>
        <source>band fill</source>
        <translation>Bandfüllung</translation>
    </message>
    <message>
        <source>peak cap</source>
        <translation>Spitzendeckel</translation>
    </message>
    <message>
        <source>maker&apos;s range</source>
        <translation>Herstellerbereich</translation>
    </message>
    <message>
        <source>{} {}</source>
        <translation>{} {}</translation>
    </message>
    <message>
        <source>No other school agrees</source>
        <translation>Keine andere Schule stimmt zu</translation>
    </message>
    <message>
        <source>{} agrees</source>
        <translation>{} stimmt zu</translation>
    </message>
    <message>
        <source>{} agree</source>
        <translation>{} stimmen zu</translation>
    </message>
    <message>
        <source>Elsewhere: {}.</source>
        <translation>Anders: {}.</translation>
    </message>
    <message>
        <source>Silent: {}.</source>
        <translation>Ohne Aussage: {}.</translation>
    </message>
    <message>
        <source>All that speak lie within its doubt.</source>
        <translation>Alle, die etwas sagen, liegen innerhalb ihrer Unsicherheit.</translation>
    </message>
    <message>
        <source>of {} does not fit: the bodies would overlap, cross a brace or reach beyond the room there is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cancelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one fixture in the middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the outermost {} apart, each moved by itself,</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the outermost {} apart, {} outward of equal division,</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With {} the outer ring has {} of the centre&apos;s {}, {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No spacing reaches {} within the room there is; the best is {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One fixture has no seam.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With {} the light between neighbours differs by {} from that under them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No point reaches the band at any spacing, however dimmed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With {} at {} % output {} of the points lie in {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With {} at {} % output {} of the volume lies in {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ceiling and floor cannot both be kept.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There are no readings to judge by.</source>
        <translation>Es gibt keine Messwerte, nach denen geurteilt werden könnte.</translation>
    </message>
    <message>
        <source>The readings at {} carry no light.</source>
        <translation>Die Messwerte bei {} enthalten kein Licht.</translation>
    </message>
    <message>
        <source>Nothing was read {} under water at {}: left out.</source>
        <translation>{0} unter Wasser wurde bei {1} nichts gemessen: ausgelassen.</translation>
    </message>
    <message>
        <source>Measured more than once at {}: the latest run counts.</source>
        <translation>Bei {} mehrmals gemessen: die letzte Reihe zählt.</translation>
    </message>
    <message>
        <source>The points at {} are not those read at {}, so their means cannot be compared: left out.</source>
        <translation>Die Punkte bei {} sind nicht die bei {} gemessenen, ihre Mittel sind also nicht vergleichbar: ausgelassen.</translation>
    </message>
    <message>
        <source>A sweep needs the same points at two heights or more, {} under water; there is none.</source>
        <translation>Eine Höhenreihe braucht dieselben Punkte in zwei oder mehr Höhen, {} unter Wasser; es gibt keine.</translation>
    </message>
    <message>
        <source>A sweep needs the same points at two heights or more, {} under water; there is one, at {}.</source>
        <translation>Eine Höhenreihe braucht dieselben Punkte in zwei oder mehr Höhen, {} unter Wasser; es gibt eine, bei {}.</translation>
    </message>
    <message>
        <source>The mean rises by {} from {} to {}, which raising a fixture cannot do: one of the two was not what it says. Read both again.</source>
        <translation>Das Mittel steigt um {} von {} auf {}; höheres Hängen kann das nicht bewirken: eine der beiden Angaben stimmt nicht. Beide neu messen.</translation>
    </message>
    <message>
        <source>At {}, the highest read, {} of the light at {} is lost: the limit of {} is not reached. Read higher.</source>
        <translation>Bei {}, der höchsten gemessenen Höhe, sind {} des Lichts von {} verloren: die Grenze von {} ist nicht erreicht. Höher messen.</translation>
    </message>
    <message>
        <source>Already the first step up, to {}, loses {} of the grid mean {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} loses {} of what {} gives {} under water; the next step, {}, loses {}.</source>
        <translation>{0} verliert {1} dessen, was {2} gibt, {3} unter Wasser; der nächste Schritt, {4}, verliert {5}.</translation>
    </message>
    <message>
        <source>The limit of {} is met at {}.</source>
        <translation>Die Grenze von {} ist bei {} erreicht.</translation>
    </message>
    <message>
        <source>The limit is met somewhere between {} and {}, a gap in the sweep: read a height in between.</source>
        <translation>Die Grenze liegt irgendwo zwischen {} und {}, einer Lücke der Reihe: eine Höhe dazwischen messen.</translation>
    </message>
    <message>
        <source>must lie between 0 and 1, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 0 mm or more, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 0 or more, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not compared</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the work was not done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>an unforeseen fault stopped the work: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>an unforeseen fault stopped the work</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must hold numbers only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be an object</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not half_angle, cosine_power, table or lm63</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a Glumet bench description</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>was written by a newer Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not JSON</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>out of memory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a quotation mark is opened or closed in the wrong place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not UTF-8 text; save it as CSV in UTF-8</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>does not ascend</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not described in the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>names a cell that is not in it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is above its greatest value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is below its least value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is too large</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file ends before {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; stands where {} should</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} must be a whole number from {} to {}, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>revision &quot;{}&quot; is not read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>this is not an LM-63-2002 or LM-63-2019 file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is not read, only TILT=NONE</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a keyword in square brackets or TILT= is expected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file ends before TILT=</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the number of lamps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the lumens per lamp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the candela multiplier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the number of vertical angles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the number of horizontal angles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the photometric type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>photometric type {} is not read, only type C</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the unit of length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the width of the opening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the length of the opening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the height of the opening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the ballast factor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file generation type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the input watts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the multiplier must be above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}s must ascend</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the luminaire shines upward only: there is no light for a tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>vertical angles {}…{} are not those of type C</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>horizontal angles {}…{} are not those of a symmetry of type C</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a vertical angle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a horizontal angle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a candela value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>candela values must be 0 or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file carries no light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>below the horizontal: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file has {} bytes, at most {} are read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the file is binary, not LM-63 text</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a list of methods</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not understood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>need a share of 0 or more each</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs values of 0 or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has the wrong size</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a Glumet light model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has another number of intervals</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>knows only &quot;model&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not part of a tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>times emitter_rows must lie between 1 and 4000</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>value {} is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>value {}, &quot;{}&quot;, is not a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>value {} is negative</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no block of numbers</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>has {} values, the line above has {}</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>the mounting height is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the mounting height must be above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the distance between the points is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the depth is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the run needs a name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fixture needs a name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is above {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be above {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is below {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a whole number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is above ppfd</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is below ppfd</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>column {} stands twice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>column {} is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>has {} fields, the header has {}</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>must be a finite number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be true or false</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a text</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a whole number from 1 to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not glass, acrylic or opaque</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs one emitter or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no channel is named &quot;{}&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie within the water, 0…{}, is {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs one depth or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds more than {} depths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs one point or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>asks for more than {} points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a pair [x, y]</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lies outside the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 1 and 247</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 0 and 65535</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a number other than 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a serial port</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a host</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 300 and 4000000</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 1 and 65535</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 20 and 60000 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a spectrum comes in lines, not in registers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs its first wavelength and step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not a list of instruments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>instrument {} is not understood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a first wavelength of 200 to 1100 nm and a step above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie between 1 and 99</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot be understood: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a group in parentheses for the value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>could not be stored: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot be read: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is damaged: a reading belongs to no run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot be written: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the folder cannot be made</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is no such configuration in the project</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has no reading to publish</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> and </source>
        <translation> und </translation>
    </message>
    <message>
        <source>clear glass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>acrylic</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>covered (reflects {})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>left {}, right {}, front {}, back {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dry</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sea water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fresh water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, moving</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, pumps off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion factor not applied</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion ×{} applied by the meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion ×{} applied by Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion ×{} applied by Glumet to {} of {} readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} W at the wall of {} W rated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} W at the wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>School</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Best at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Beside it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spill limit, at most {} lost</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Judged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Limit met at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>95 % sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Maker says</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot speak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Mean there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} µmol·m⁻²·s⁻¹, peak {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>In {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of {} points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Delivered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} µmol/s, {} µmol/J</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, {}; {}; calibration ± {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kind not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Draw</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Warm-up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dark reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>means of settled readings, {} in all; table gives spread over the points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, {} × {}, {} deep; walls {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; bare bench tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; living tank, an impression and no benchmark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} points read twice agree to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; drift {} ± {} % an hour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Sure to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>± {} for one reading in absolute terms (k = 1)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {}, overruled: {} Reason given: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Checks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none recorded before the first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} recorded before the first readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {}: {}. {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Some readings come from the practice meter: they are simulated, not measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Mains over water: residual-current protection, drip loops, and a second tether for any housing that carries mains voltage. Local electrical code and a licensed electrician have the last word.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A hanging load asks for anchors rated well above it; nobody stands or reaches under it while it is moved. Glass edges and braces carry no loads.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Never look into bright blue, violet or ultraviolet emitters; wear eye protection while they are on. Housings get hot.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Livestock: begin dim and raise over weeks, whatever the figures say.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A rating is 0 kg or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fixture&apos;s mass is not described: weigh it and say it in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} kg hang, the anchors are rated for {} kg: {} times, {} are asked.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: stronger anchors first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: hang a second tether that bears it alone.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: nobody stays under it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A second tether is on, nobody is under it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Eyewear at hand for violet and ultraviolet, plugs and hands dry, residual-current protection in the circuit.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: no eyewear. Violet and ultraviolet harm before they dazzle.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: a plug or a hand is wet. Dry them, and lay a drip loop.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop: no residual-current protection. Local electrical code and a licensed electrician have the last word.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hanging</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>eyes and hands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fit still moved after {} rounds: its figures may move further.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Half way between two lamps there is {} where {} is under them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Smooth seam would not leave it: {} apart there.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No spacing of so many avoids it: more lamps, or higher.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Enough to begin: plan the first runs</source>
        <translation>Genug zum Anfangen: die ersten Reihen planen</translation>
    </message>
    <message>
        <source>Heights, depths and a grid, made from a method.</source>
        <translation>Höhen, Tiefen und ein Raster, aus einer Methode.</translation>
    </message>
    <message>
        <source>(give or take {})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>They read {} {} everywhere: output, meter or its mode.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the lamps {} {} higher.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the lamps {} {} lower.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the row {} {} to the right.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the row {} {} to the left.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the row {} {} to the back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits with the row {} {} to the front.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It fits if fixture {} from the left gives {} {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {} % ({} to {})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By the fit {} to {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe the fixture first, in Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe the tank first, in Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the project cannot be read any more: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the project has been damaged from outside: what it holds does not belong together</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>is longer than {} bytes</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>is not UTF-8 text</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>has more than {} cells</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>is no number</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>makes more than {} emitters</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>names something that is not there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds too many</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is larger than {} MiB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is nested more than {} deep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds a number that is too large</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no copy of it could be kept: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not stored: the project is open to be looked at only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is damaged: {}: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot be rescued: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} rows could not be read</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>cannot be read whole: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is damaged, and nothing in it can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is being written without a pause; try again in a moment</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Of {} readings about {} were used, spread evenly: all of them would take long and tell little more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>are more than {}</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>needs two azimuths or more and a list of relative for each</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must run from 0 to 90, 180 or 360, runs from {} to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must ascend by {} or more, value {} does not</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the list at 360° must be that at 0°</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has {} values, at most {} are read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a grid of {} × {} points has no ring {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a cluster</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a short bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a long bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>two clusters apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>two bars side by side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a small panel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a large panel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its light is not round, and where it leaves the body cannot be told from where it goes: describe the emitters in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The readings scatter {} times as widely as they should, and no other layout explains them: predictions allow {} for what the model does not hold.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The emitters as described do not explain the readings; {} does it better. Look at the layout in Bench: until then predictions allow {} for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>brighter at the right end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>brighter at the back</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} of the readings are means read by others: their meter and their heights are taken as they say.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>Ring means do not tell whether the light is round: it is taken to be, and predictions allow {} for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be more than from_mm in x, y and depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lies where no light passes, outside the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the obstacle lies around an emitter of fixture {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds more than {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a list of lists</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not round, two-planes or free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be a whole number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has no column {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not still, moving or dry</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} contradicts {} at line {}, the same ring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be three numbers [x, y, depth]</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not box or disc</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A hand&apos;s breadth of colony leaves no light under it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A hand&apos;s breadth of colony keeps {} of its light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By the model, under an opaque disc of {} hung {} above the probe, {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A single cluster in its place would keep {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Small ripple moves the light {} times as much as that of one point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no ring: name its number from outside, all, min or max</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The samples read there swung by ± {} about their means.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The lamp hung {} mm higher than the ruler says.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The lamp hung {} mm lower than the ruler says.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The school&apos;s height; more readings will hardly move it.</source>
        <translation>Die Höhe der Schule; weitere Messungen werden sie kaum verschieben.</translation>
    </message>
    <message>
        <source>The school&apos;s height as the fitted model has it.</source>
        <translation>Die Höhe der Schule, wie das angepasste Modell sie hat.</translation>
    </message>
    <message>
        <source>Reading {} at {} deep, turned a quarter, tells most</source>
        <translation>{} bei {} Tiefe, um ein Viertel gedreht, sagt am meisten</translation>
    </message>
    <message>
        <source>It would bring the height to ± {}; no run is planned like that yet: Bench, New run.</source>
        <translation>Das brächte die Höhe auf ± {}; so ist noch kein Durchgang geplant: Bank, Neuer Durchgang.</translation>
    </message>
    <message>
        <source>The likeliest cause is the run at {}: it reads {} against what the others say of it, everywhere alike. Level, unit or meter?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The likeliest cause is the run at {}: the others agree without it. Height, place or depth?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read by {}</source>
        <translation>Gemessen von {}</translation>
    </message>
    <message>
        <source>Means of rings, not points: what each point reads nobody knows, and the fit alone answers for height and array.</source>
        <translation>Mittel von Ringen, keine Punkte: was jeder Punkt misst, weiß niemand, und allein die Anpassung antwortet für Höhe und Reihe.</translation>
    </message>
    <message>
        <source>The painted walls reflect {} by the readings, and {} as described: look at the walls in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be above 0 and at most {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs two wavelengths or more and as many values</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} wavelengths</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>must follow each other in time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is no time with a level, like 9:30 60</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>times go from 0:00 to 24:00 and levels to 100 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a time with a level, like 9:30 60</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is no name with a span, like cyan 485–510</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} must end after it begins, within 200–1200 nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is named twice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>are more than 30</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has no light within 400–700 nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sees nothing of this light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is no peak and width in nm, like 450/20</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs one peak to twenty, like 450/20</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>daylight, 5500 K</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>daylight, 6500 K</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>daylight, 10 000 K</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>noon sun under 10 m of pure water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>black body, 2856 K</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>generic cool white tube</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>generic three-band tube</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>generic actinic tube</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>generic halide-like lamp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is no scan yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the instrument has changed its wavelengths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the dark scan has other wavelengths: take it again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the dark scan is brighter than the light: take it again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PAR 400–700</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>extended PAR 400–750</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the eye by day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fixture has no channels described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the plane has no reading yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The goal&apos;s band over its {} h makes {}–{}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} mol a day: below the goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} mol a day: above the goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} mol a day: within the goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} peaks at {} for {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its plateau is {}: judge by that, and look for what shines in.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Night light of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Held for an hour or longer outside the {} h of day.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} kWh a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} kWh a year. Watts are taken to rise with the level; with a price a kWh the cost is said.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The clocks run apart: {} min after 90 days</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The day grows from {} to {} h. Set them together, or hang both on one clock.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} saw {} mol</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One whole day at its own place, which is not the plane&apos;s.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} saw {}–{} mol a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} whole days at its own place, which is not the plane&apos;s.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>the day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No clock yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add a schedule: times and levels, channel by channel.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} holds {} of the photons; daylight has {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No gap from 410 to 690 nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} gaps in all.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>A gap at {}–{} nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>above</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>White of {} K, renders colours {} of 100</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ra by CIE 13.3, saturated red (R9) {}; it lies {} {} the black body&apos;s locus.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Not a white</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It lies {} {} the black body&apos;s locus (CIE 1960), nearest to {} K: colour rendering is defined within 0.0054.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It lies {} {} the black body&apos;s locus (CIE 1960): a colour temperature would mean nothing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Far red adds {} to extended PAR</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>700–750 nm, which PPFD and most meters do not count.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of the watts sleep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of {} W are used by this mix; the rest was paid for and is turned down.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How {} sees colours is not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With its response in Bench, this mix gets its correction.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter tells this mix as it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By its response, within {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By its response and this mix × {}: {}, not {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings beside another meter say × {}: the two agree.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings beside another meter say × {}: the two do not agree.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter reads {} low here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter reads {} high here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Red fades first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {} pure water has taken {} of 660 nm and {} of 450 nm, on the straight way down.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the colour moves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the colour holds still</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the channels show apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the channels blend</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing tells the channels apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} are taken for equal: read each alone once, or state its share of the light in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The channels do not add up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read one by one they give {} of what was read with all of them: a supply that holds back, or a setting that was not the same.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A channel has no spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add one from a file, read it, or state its peak in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra that nobody measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: as such channels usually are. Add a file, or read them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no row of a time and a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} rows</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>is no time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is no time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>runs back in time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no PPFD: it must be 0 or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds fewer than two values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; are not nanometres</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no line of a JCAMP-DX spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs FIRSTX, LASTX and NPOINTS with (X++(Y..Y))</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>does not go on where the line before ended: the file is damaged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>begins at {} and not at {}: a line is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs pairs in the form (XY..XY)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds {} values where NPOINTS says {}: is the file cut short?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>needs a TITLE first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ends without ##END=: is the file cut short?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>wavelengths go to and fro: {} nm after {} nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} wavelengths beyond 200–1200 nm are left out</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>{} at {} nm is far below 0: subtract the dark spectrum again</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} values a little below 0 are taken for 0</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>flat at the top near {} nm: the instrument may have been saturated; read it again with a shorter integration time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cut off at {} nm, where there is still light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no two wavelengths within 200–1200 nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is larger than 10 MB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds more than one curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a response goes from 0 to 5</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no row of a wavelength and a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>holds more than {} spectra</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>is no row of a wavelength and {} values: is the file cut short?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is no number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is XML, but no TM-27 spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;{}&quot; is not light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no wavelength with a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The blue part is {} nm wide at half its height, {} at a tenth.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Δu&apos;v&apos; {} ×10⁻³ in the mean ({}–{}), {} at worst; {} shows.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} × {} ± {} ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} × {} ± {} ({}), not applied</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Meter factors</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Then {} lie in the band, not {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Channels by their fits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} were read alone at other heights; here their fits speak.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} kWh a year, which cost {} {}. Watts are taken to rise with the level.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in your currency</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of what all channels full give</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its colour lies Δu&apos;v&apos; {} ×10⁻³ from theirs; {} shows.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Without all spectra its colour cannot be compared.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>After {} h it gives {} of what it gave at {} h ({} to {}), read at the same heights.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is within what the readings scatter.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Look again after {} h more: by then another twentieth may be gone.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At this rate three tenths are gone {} h from the last look; whether the rate is steady, ages between would tell.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Only {} can be ranked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A tie at the top: {} and {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} {}, {} {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} {} than {}, and loses nowhere</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} {} than {}, which leads by many small things</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} and {} cannot be paired</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A tie in light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} gives {} more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} gives {} less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {}, {} at {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modelled: a fit stands for one of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its peak is {} higher</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} comes off the peak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Least over mean: {} against {}, {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings swing by {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>From least to greatest sample {} of the mean, against {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of height would explain it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With both heights&apos; setting error the ratio is {} to {}: check both heights before it is called a difference.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} things differ at once</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>{}: which of them makes the difference, this pair cannot tell. Change one thing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Not comparable: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is not ranked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing can be ranked yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Two configurations read in one tank make a comparison.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each at its own height.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All at {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The first place holds in {} of 100 re-readings, and in {} of 100 as weights move; the whole order in {} and {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Maintenance factor {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} and {} are a tie in light: between {} and {}, over all points that both have.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} gives {} more than {}: between {} and {}, over all points that both have.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} gives {} less than {}: between {} and {}, over all points that both have.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is not recorded of {}: record it, or read that run again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modelled: a fit speaks for the same conditions.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hang both the same way and read one again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Both are brought to full level; dimming is taken as linear.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read one of them again in the other&apos;s tank.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>still</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fill the tank, or empty it, and read one again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Means are compared; the swings are not alike.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hang one of them at {} and read it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} free points</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>Read one of them again on the other&apos;s points.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Only depths that both have are compared.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read one of them again at the other&apos;s depths.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each by its own factor; both calibrations are in the interval.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read both meters side by side in Bench, or read one again with the other&apos;s meter.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no factor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>× {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>(not for water)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each by its own factor.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Find the other&apos;s factor too, and read it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One meter is not set for water: read again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Let it burn for {} minutes, then read again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The dark reading is taken off.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ourselves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Others&apos; readings rest on a bench we do not know: read it ourselves.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} h</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One lamp has burnt {} h longer: read one of the same age.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>count</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>turn</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>factor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>other light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>age</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reader</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing has been read of it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It was not read in this tank, and no fit speaks for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Only means of it were published, and no fit speaks for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It was not read at {}, and no fit speaks for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its watts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the price of a kilowatt-hour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its price</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>evenness, least / mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spreads better</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>delivered light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gives more light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>delivered per watt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol/J</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gives more for its watts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>share in the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fills the band better</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>peak / mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has the milder peak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light under a colony</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is harder to shadow</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>shimmer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ripples less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>blending, Δu′v′</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>blends better</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colour rendering, Ra</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>renders colours better</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light past the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>keeps its light in the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light at the eye</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol/m²/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dazzles less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price a µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gives more for its price</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price for the goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reaches the goal for less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>energy a year</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kWh</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>draws less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cost over the years</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>costs less over the years</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dB(A)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is quieter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kg</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is lighter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it takes a fit, and is worked out where it counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its price is not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nobody read its watts, and they are not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nobody measured it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it is not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no blending test was read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it has no plane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its spectrum is not known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it is no white, so there is no index</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it has too many emitters to be weighed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no fit speaks for several of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of it do not put {} of the points into the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its price is in &quot;{}&quot;, most others&apos; in &quot;{}&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>They have no place at one depth in common.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing counts: give a criterion a weight.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>looks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colours look washed out or of one tint, flat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colours are true, little depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colours stand out against each other, with contrast and depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flat, or so harsh that one looks away</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>some ripple, or a little too much</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lively lines that move gently</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colour flashes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>coloured specks wherever one looks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>specks when one looks for them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none seen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dimming</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>steps or flickers, does not go below a tenth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>smooth, but jumps on and off at its low end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>smooth from full to nothing, no flicker</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>night light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none, or too bright for a night</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one level, one colour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>faint, even and adjustable</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>heard across the room</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>heard beside the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>build</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flexes, gaps, splash gets in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sound, some rough edges</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tight, protected, can be repaired</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mounting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no safe way to hang it comes with it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one way, height set by trial</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>several ways, height set finely, a second tether</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>on and off, or settings get lost</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>levels and times, needs its own box or account</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>levels, ramps and presets that last, works by itself and with others&apos; controllers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in the box</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be bought besides: mount, control or supply</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>complete but for a mount</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>complete, ready to hang</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} and {} have scored nothing in common.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} and {} scored {} alike of {}, {} two steps or more apart.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Weighted kappa {}: 1 is full agreement, 0 is chance.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is too little to tell agreement from chance.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flattest field</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>narrow band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>broad range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sand bed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gradient</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height by {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>meters corrected for each spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>how much light: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} hangs at {} instead of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} has another share in the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>was cancelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not what was kept: its hash is another</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no reading to compare with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cannot be made</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has no shelf.json that says what it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>meter corrected</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} more are not ranked</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>The table that is copied says why.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A point counts where each channel keeps its own band too.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>has {ms} where the milliseconds go, such as INT {ms}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no archive that can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>leads out of the archive</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds too many files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>unpacks to more than can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is damaged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is named in the package and not in it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not what the package says: its hash is another</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is missing: this is no data package</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is missing: the package was not made by Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its readings carry no light.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the tank is not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it does not fit over the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Light across the tank, all on one scale</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A small profile of each fixture&apos;s light across the tank.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What is alike: = same, ~ corrected, ○ on purpose, ▲ not comparable; {} more are the same for all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A table of conditions: a mark for each fixture and condition.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What counts, and where everybody stands, better to the right; figures are those of {} and of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A row of marks for each criterion; the table has the figures.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} against {}, {} under water, per cent brighter or dimmer; = cannot be told apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Map of the difference {} under water: {} on average.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is not what a publication keeps there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} configurations compared</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} configurations</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Not in this review: {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is nothing chosen to be published</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Card</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>In short</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The field</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Why this height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How many, how far apart, how bright</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum and blending</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Shadow and shimmer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What it costs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Side by side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What has changed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What no meter reads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How it was measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Doubts and dissent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Terms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Data and edition</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cautions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not ranked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} ({}–{})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>modelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>by others&apos; means</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Every figure that counts, with 95 % intervals in brackets; = : within chance of the best</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>basis</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one configuration by itself is compared with nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is not ranked: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Weights are the reviewer&apos;s and a matter of opinion; ranks in brackets are those that 95 of 100 re-readings allow.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it takes two configurations: before, and after</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} against {}, depth by depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mean</source>
        <translation type="unfinished">Mittel</translation>
    </message>
    <message>
        <source>95 % interval</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>difference</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>peak</source>
        <translation type="unfinished">Spitze</translation>
    </message>
    <message>
        <source>told apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no: a tie</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>yes</source>
        <translation type="unfinished">ja</translation>
    </message>
    <message>
        <source>What differs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>condition</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>so</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Heights set as well as they are could explain the difference.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: opinions, each with its reason; {} least, {} most</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} with {}: opinions, each with its reason; {} least, {} most</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>of what</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>unnamed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nobody scored what no meter reads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {}, swing {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} under water: mean {}, peak {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Map of {} readings {} under water with the fixture at {}: mean {}, least {}, greatest {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Every mounting height (across) and depth (down) that was read, on one scale; the mean of each below it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Small maps of {} heights and {} depths; the table of planes has their figures.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Along the tank&apos;s middle, at {} over the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lines of light along the tank, one for each of {} depths.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Every plane that was read, PPFD in µmol·m⁻²·s⁻¹; rings from the outermost to the centre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>least</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>greatest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>CV</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>least / mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>rings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What raising costs: loss of the grid mean against the lowest height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A rising line of loss over height, with the limit of {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Centre, mean and outer ring over the mounting height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Three lines over height: centre, mean and outer ring.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The bench in side view, to scale</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Side view of the tank with the fixture at {} over the water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What each school says. The method of this review speaks by {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>school</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>between those read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reason</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Height by height, {} under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>loss</source>
        <translation type="unfinished">Verlust</translation>
    </message>
    <message>
        <source>± (k = 1)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>centre</source>
        <translation type="unfinished">Mitte</translation>
    </message>
    <message>
        <source>outer ring</source>
        <translation type="unfinished">Außenring</translation>
    </message>
    <message>
        <source>With the fixture at {}, µmol·m⁻²·s⁻¹, front below. A bar at a cell&apos;s foot: under {}; at its head: over {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it was read at one height only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The reviewer&apos;s own opinion: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photons by wavelength, and their shares by band. Assumed from what is stated, not measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photons by wavelength, and their shares by band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum from 380 to 780 nm; the table has the share of each band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>share of the photons</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending, {}: Δu&apos;v&apos; ×10⁻³ from the middle; {} shows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spectral angle, °</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending from moment to moment, {}: Δu&apos;v&apos; {} ×10⁻³ from the mean ({}–{}).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending over {} points, {}: Δu&apos;v&apos; {} ×10⁻³ from the middle ({}–{}).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At least one channel&apos;s spectrum is assumed: what is said of colour is no measurement.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no spectrum was read, and none is stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>it has too many emitters for the shadow to be computed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modelled by the fit to the readings, not measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modelled by the beam as it is described, not measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Checked before the first readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>passed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no</source>
        <translation type="unfinished">nein</translation>
    </message>
    <message>
        <source>no, overruled: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>photosynthetic photon flux density: photons of 400–700 nm on an area in a second, in µmol·m⁻²·s⁻¹; often called PAR</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>DLI</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>daily light integral: the PPFD added up over a day, in mol·m⁻²</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mounting height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from the water&apos;s surface up to the emitters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from the water&apos;s surface down to the sensor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the points of a grid that are equally many steps from its border; the outermost ring is the edge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>standard deviation over the points, against their mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a school: the highest mounting height at which no more than a chosen share of the light is lost against the lowest one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a school: the height at which centre and edge agree best over the depths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a school: the height that, dimmed to its best level, puts most points into the band of the goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a school: the lowest height at which nothing exceeds a ceiling</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a school: what the maker claims, checked against the readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>where the true figure lies 95 times in 100, if nothing is wrong that nobody saw</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a meter was there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>computed from the light field fitted to the readings; no meter was there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>least and greatest value while one reading settled, under moving water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Δu&apos;v&apos;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>distance of two colours in CIE 1976 u&apos;, v&apos;; about 0.004 is seen side by side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ra</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>general colour rendering index by CIE 13.3; 100 renders as daylight or a lamp of the same temperature does</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: new, {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: gone, was {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} instead of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a reading is taken when its mean is sure to {}, after {} at the latest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Heights</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>set to ± {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No check found anything to doubt.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Edition</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Data</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} readings; SHA-256 {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>In the package</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>every reading, figures of every plane, verdicts, models and spectra: data-package.zip (Frictionless Data Package)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Program</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Published by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Licence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not stated: nobody may use the data</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Since edition {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, {} × {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} % ({}–{} as good)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>turned by 90°</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>across the tank, each turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>across the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>along the tank, each turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>along the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>over {}, {} apart, at {} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>over {}, at {} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} of the points in {}, {} mol·m⁻² a day; {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, and not enough</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; {} {} to buy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One alone at this height is not for {}: however it is dimmed, fewer than half of the points lie in the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} between the heights read, 95 % sure of {}; {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} over {} at {}, {} under water, µmol·m⁻²·s⁻¹ at {} %. Modelled, not measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Map of the modelled light, {} of the points in {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>intensity</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mol·m⁻² a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; not enough</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {} over the water, for {}. A number is enough when {} of the points lie in the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, edition {}, {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}; read in {}; edition {}, {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hang it this high over the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No height can be named</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Map of the light {} under water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One alone, as read here, puts four fifths of the points into the band of {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Bands are starting points in round figures; reviewers and keepers differ about them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no tank is described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measured, {}: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No row of several was measured: what is said of several is modelled.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>buying</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kWh a year</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>over {} years</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no number of fixtures could be named</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Prices in {}; {} h a day at the recommended intensity; watts are taken to rise with it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Not in it: {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>line {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>there is no section &quot;{}&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the section &quot;{}&quot; stands there twice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>full review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>short card</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>comparison of several</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>before and after</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Glumet {}, edition {}, data {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lies outside its tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>was seen from more to less light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read the spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name places in the tank, and read the light at each: today, and again after any change.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} lost light by itself: {} instead of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The other spots stand at {} of what they had on {}. Something stands in its way.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The other spots stand at {} of what they had on {}. Something grew or stands over {}: cut it back, or move it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The plan &quot;{}&quot; cannot be kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} % today, {} % on {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Look first: bleached, closed or shedding means wait, or a step back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: {} %, at its end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It is paused; it goes on when the pause is ended.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep it there for some weeks before anything else is changed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Begin at {} % of the light of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Then no spot has more than {} above what it had on {}; {} is the one that would gain most.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It has {} and is looked for {} ({}). Move one at a time, and look again after two weeks.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>your own evidence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} lives there now.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} would have {} at {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} thrives at {}, outside its band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The band of {} is {}. The broad-range school goes by what is seen: keep it where it is, and keep it as evidence.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Change one thing at a time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>While the light is raised leave diffusers, heights and places as they are: else nobody knows what helped or hurt.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read the spots again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The last look was {} days ago.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hands in the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plugs dry, residual-current protection on, nobody under a hanging lamp; local code and a licensed electrician have the last word. Light is one thing of many: flow, water and pests look alike.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie above 0 and up to 100 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be at most 100 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must lie above the start: light is taken away at once, not in steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be 1 to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must be above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>forbids it: one week would be {} % brighter, {} % are allowed; {} weeks would do</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>forbids it: one week would be {} % brighter, {} % are allowed, and two years would not do</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>is no date such as 2026-11-27</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>does not read as a workbook</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>holds no cell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>(not known)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}, hung at {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>must reach from less to more in length, width and depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the light went to {} where {} was meant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Between {} and {}, by the spots. The coming steps are worked out anew, so that the light rises as planned.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Between {} and {}, by the spots: not by the level, then. Look at lamps, covers, water and the probe before the next step.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The whole tank lost {} of its light since {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All spots alike, so it is not growth: clean covers and panes and read again; what stays lost is the lamps&apos; age, {} a year.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} keeps {} of its light by the rocks as drawn, {} as read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} keeps {} of its light by the rocks as drawn</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>More is missing than the rocks take: something grew or stands there that is not drawn.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>right</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No strip along an edge would reach under.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A strip along the {} edge would reach under with {} of its light.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fixtures turned by 90° would give it {} of what they give now.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} higher, {} would have {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>As {} nears the lamps they can go up with it; the middle of the floor then keeps {} of its light.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Where the fixtures meet, {} from the left, {} of the lower hump is left.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The {} {} corner has {} of the brightest place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The sand-bed rule asks {} at the bottom and is not held: {} is told.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The sand-bed rule asks {} at the bottom and is held: {} at least.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At {}: {} dim, {} in band, {} bright</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} would have about {} ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Brightening: {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tick each step once it is set; write what you saw before it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Seen before it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What each had last, µmol·m⁻²·s⁻¹</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Who lives there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Had</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>On</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Reads now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Before each step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Bleached, closed, shedding or melting: wait, or go a step back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Growing, open, coloured as before: go on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Change nothing else meanwhile: no diffuser, no height, no place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Flow, food, water and pests look alike: look at them first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plugs dry, residual-current protection on, nobody under a hanging lamp; local code and a licensed electrician have the last word.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>From above, front below; between the spots only what is known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The tank from above with its spots and their light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending from moment to moment, {}: Δu&apos;v&apos; ×10⁻³ from the mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending from above, {}: Δu&apos;v&apos; ×10⁻³ from the middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The spectra at their places; a corner marks where a difference from the middle would show, beyond {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its length, width and water in Bench; then spots are named here and read, today and after every change.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A reading is dated {}, after today</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It counts as the last look: take it back, or read anew with the right date.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} at {} ({})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} is kept at {} levels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}. The broad-range school goes by such evidence rather than one number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>thrives</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>declines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No goal asks for the {} of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{} has {}: it would suit {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By its light alone; bands are starting points, and flow and room count too.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is in {}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>For {}, over the {} of this depth whose light is told.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The gradient school wants all three.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Estimated by the fit of {}, not read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Estimated by what {} published of {}, not read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>{}: the interval is the fit&apos;s own, without your lamps&apos; age, your water and what stands in the way. Read it before livestock depends on it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The readings look as if the fixture hung turned by 90° against what all runs say. Look at its turn in Plan: until then predictions allow {} for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The likeliest cause is the run at {}: it reads as if the fixture hung turned by 90° there. Look at its turn in Plan.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>{} readings are too few even beside those of other channels: {} are needed</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>The light ends as within a shroud round the body that drops about {} below the emitters, and none is described: it is taken so. Describe it in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>Read at {} points only, its light leans on that of {}: from there come height, place and walls, and its beam is taken to be like that one within a tenth.</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>must be 1 mm or more</source>
        <translation>muss mindestens 1 mm sein</translation>
    </message>
    <message>
        <source>has no fixture</source>
        <translation>hat keine Leuchte</translation>
    </message>
    <message numerus="yes">
        <source>has more than {} fixtures</source>
        <translation>
            <numerusform>hat mehr als {} Leuchte</numerusform>
            <numerusform>hat mehr als {} Leuchten</numerusform>
        </translation>
    </message>
    <message>
        <source>hangs beside its tank</source>
        <translation>hängt neben seinem Becken</translation>
    </message>
    <message>
        <source>no fit speaks for {}</source>
        <translation>keine Anpassung spricht für {}</translation>
    </message>
    <message>
        <source>no point is judged</source>
        <translation>kein Punkt wird beurteilt</translation>
    </message>
    <message>
        <source>{} × {} at {} %</source>
        <translation>{} × {} bei {} %</translation>
    </message>
    <message>
        <source>modelled; above the ceiling</source>
        <translation>modelliert; über der Obergrenze</translation>
    </message>
    <message>
        <source>modelled; below the floor</source>
        <translation>modelliert; unter der Untergrenze</translation>
    </message>
    <message>
        <source>{}, over {}</source>
        <translation>{}, über {}</translation>
    </message>
    <message>
        <source>Arrays as the reviewer plans them, in the band {} at the levels planned. Nobody has read them there; the intervals hold what the fits leave open.</source>
        <translation>Anordnungen, wie der Prüfer sie plant, im Band {} bei den geplanten Stellungen. Niemand hat sie dort gemessen; die Intervalle fassen, was die Anpassungen offen lassen.</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>geplant</translation>
    </message>
    <message>
        <source>hung</source>
        <translation>aufgehängt</translation>
    </message>
    <message>
        <source>least–most</source>
        <translation>von–bis</translation>
    </message>
    <message>
        <source>{}: {} over {}, {} under water, µmol·m⁻²·s⁻¹. Modelled, not measured.</source>
        <translation>{}: {} über {}, {} unter Wasser, µmol·m⁻²·s⁻¹. Modelliert, nicht gemessen.</translation>
    </message>
    <message>
        <source>its right end</source>
        <translation>ihrem rechten Ende</translation>
    </message>
    <message>
        <source>its left end</source>
        <translation>ihrem linken Ende</translation>
    </message>
    <message>
        <source>its back</source>
        <translation>ihrer Rückseite</translation>
    </message>
    <message>
        <source>its front</source>
        <translation>ihrer Vorderseite</translation>
    </message>
    <message>
        <source>{} and {}</source>
        <translation>{} und {}</translation>
    </message>
    <message>
        <source>Its light looks aside by {}° toward {}, as through lenses that do or because it hangs out of level, which the readings do not tell: lay a level on it.</source>
        <translation>Ihr Licht blickt um {}° zur Seite, nach {}: durch Linsen, die das tun, oder weil sie nicht waagerecht hängt; das sagen die Messwerte nicht. Eine Wasserwaage auflegen.</translation>
    </message>
    <message>
        <source>A shroud that nobody described would explain the readings nearly as well: predictions allow {} for it. If there is one, describe it in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A fixture turned by 90° would explain the readings nearly as well: predictions allow {} for it. Look at its turn in Plan.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>Described</name>
    <message>
        <source>name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>width</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>maker</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kind</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cluster, bar, panel …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>rated power, W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mass, kg</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>maker&apos;s coverage</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>shroud, length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>of its lower edge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>shroud, width</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>shroud, drop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>under the emitters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>currency</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price of mounts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>and what else it needs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price of new lamps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none: replaced whole</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>life, h</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>until lamps are replaced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>noise, dB(A)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at a metre</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>ImportDialog</name>
    <message>
        <source>semicolons</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tabs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spaces</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>commas</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>LivingSheet</name>
    <message>
        <source>Spots and brightening, to write on</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>ProjectFile</name>
    <message>
        <source>another file has taken the place of %1; save a copy of this one</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>Section of the array</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>to scale, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>judged at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mean</source>
        <translation type="unfinished">Mittel</translation>
    </message>
    <message>
        <source>in band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All channels on, then each alone: what the power meter says.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Probe still under the lamp; wait until the output no longer moves.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture off, room as it will be: what the meter still reads.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pumps off for bench runs, or on throughout: what it is now.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Bubble level on the probe: degrees off.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tape from the emitters to the water, not to the rim.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the meter&apos;s display says, so that the factor is used once.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Clear noon sun, about 2000, or another meter side by side.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the anchors of all that hang are rated for together; five times the load.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Eyewear, dry plugs and hands, residual-current protection: as it is now.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>Rings</name>
    <message>
        <source>outer ring</source>
        <translation type="unfinished">Außenring</translation>
    </message>
    <message>
        <source>centre</source>
        <translation type="unfinished">Mitte</translation>
    </message>
    <message>
        <source>middle ring</source>
        <translation>mittlerer Ring</translation>
    </message>
    <message>
        <source>ring %1</source>
        <translation>Ring %1</translation>
    </message>
</context>
<context>
    <name>glumet</name>
    <message>
        <source>1 is enough</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 are enough</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 reach %2 in the band, %3 asked; enter on its row in “how many” hangs them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No number is enough</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Up to %1 were tried; the best share is %2 where %3 is asked.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A day of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1–%2 for %3 h is %4–%5 mol·m⁻²·d⁻¹; speaking: %6.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 agrees</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 differs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The run at %1 does not fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of its %2 readings are off by more than four standard errors: its draw, mode or height was not what it says.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings do not fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The worst reads %1 where %2 is expected; they do not count.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 µmol/s from %2 W cannot be: a unit seems off by a factor of %3. Mend the readings or the rating; nothing is recommended from them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The readings do not fit the fixture and tank as described (reduced chi-square %1): nothing is recommended from them. Look at Field, difference.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No array yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>edge share</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>smooth seam</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>band fill</source>
        <translation type="unfinished">Bandfüllung</translation>
    </message>
    <message>
        <source>By %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Two goals</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Channel by channel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fitted to %1 readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>They lie %1 off it; it emits %2 ± %3 µmol/s.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cannot be told</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give a PPFD in µmol·m⁻²·s⁻¹, or nothing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>goal, to begin with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as edited below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>narrow band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>broad range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sand-bed floor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gradient, bright on top</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>target band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the band as low–high, such as 150–300.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ceiling</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>floor at the bottom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depth zone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the zone as depths from–to, such as 0–20 cm, or nothing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>photoperiod</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 h, DLI %2–%3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the photoperiod in hours, 0 to 24.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>keep it as</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A ready goal has that name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a name keeps it as yours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Point sheets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mean</source>
        <translation type="unfinished">Mittel</translation>
    </message>
    <message>
        <source>fixture above water, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>loss of the grid mean, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>limit %1</source>
        <translation type="unfinished">Grenze %1</translation>
    </message>
    <message>
        <source>loss</source>
        <translation type="unfinished">Verlust</translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>centre</source>
        <translation type="unfinished">Mitte</translation>
    </message>
    <message>
        <source>outer</source>
        <translation type="unfinished">außen</translation>
    </message>
    <message>
        <source>A trough between the lamps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A hump between the lamps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The goal in full</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fitted to %1 means that %2 read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>short peak, %1 min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>plateau %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gap %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>modelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>by others&apos; means</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>–</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not read there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>same</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>corrected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>on purpose</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not comparable</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Alike?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>weight</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>better →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tie %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from the left, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No spot was read yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>today, %1 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>middle</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::AddRows</name>
    <message>
        <source>import of %1</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::AlikeView</name>
    <message>
        <source>What is alike</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2: %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, against %1: %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::Announcer</name>
    <message>
        <source>Tones on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tones off.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The next point is spoken.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Speech off.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ArrayForm</name>
    <message>
        <source>tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixtures</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1 to 12 fixtures may hang.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lengthwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lengthwise, turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>crosswise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>crosswise, turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>inner ones</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>stay</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spread evenly</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>both alike</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>each alone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>The height must be a length above 1 cm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is outside the heights allowed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>heights</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the heights as low–high, such as 12–40 cm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>canopy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the canopy as length × width, such as 110 × 50 cm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>braces</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hang over</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>keep clear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>edge share</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>70, 75 or 80 % are usual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>enough is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A share is 1 to 100 %.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>judged on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>three depths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all the volume</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>second goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A level is 1 to 100 %.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>beside</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at the</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>right</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give channels and their PPFD, such as blue 60–150; deep red 0–40.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fixture has no channel &quot;%1&quot;.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>blue 60–150; …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its level</source>
        <translation>ihre Stellung</translation>
    </message>
    <message>
        <source>Its level against the row&apos;s is 10 to 200 %.</source>
        <translation>Ihre Stellung gegen die Reihe ist 10 bis 200 %.</translation>
    </message>
</context>
<context>
    <name>glumet::ArrayPanes</name>
    <message>
        <source>agrees</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>another shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 too high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 too low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 right</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 to the front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture %1 %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Centre and edge against the spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Share in the band against the level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Evidence of the spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Numbers of fixtures tried</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Levels of the channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measured arrays beside their prediction</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>what is asked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>brightness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>how many</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>centre</source>
        <translation type="unfinished">Mitte</translation>
    </message>
    <message>
        <source>outer ring</source>
        <translation type="unfinished">Außenring</translation>
    </message>
    <message>
        <source>outermost moved outward of equal division, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>outward</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>share</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>seam</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>level of all, %: share in the band, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At %1 %2 of what is judged lies in %3–%4. 5 % less: %5. 5 % more: %6.
Best at %7: %8; %9 do about as well.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1–%2 %</source>
        <translation type="unfinished">%1 % {1–%2 ?}</translation>
    </message>
    <message>
        <source>long, turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cross, turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lengthwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>crosswise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixtures</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>limits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reaches %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kept</source>
        <translation>behalten</translation>
    </message>
    <message>
        <source>broken</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>yes</source>
        <translation type="unfinished">ja</translation>
    </message>
    <message>
        <source>no</source>
        <translation type="unfinished">nein</translation>
    </message>
    <message>
        <source>channel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>mean off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>within 2 errors</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>verdict</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No level keeps ceiling and floor.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>about as well</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 ± %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>steps</source>
        <translation>Schritte</translation>
    </message>
</context>
<context>
    <name>glumet::ArrayStage</name>
    <message>
        <source>Array</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>←, →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Array: the chosen fixture along the row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>↑, ↓</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Array: all fixtures up or down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1–9</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Array: choose a fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>S, P</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Array: next school, next pane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How many, how far apart, how bright</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Moved by hand. It snaps to the schools&apos; positions.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure one fixture first: two planes or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No model: %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank in Bench first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No model yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 × %2 over %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Centres %1 %2, %3 up, %4 output: %5 of what is judged in %6–%7; half way down mean %8, %9</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fitting the fixture to its readings … %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Judging … %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, read by %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2 beside</source>
        <translation>%1, daneben %2</translation>
    </message>
    <message>
        <source>Kept for the review: %1.</source>
        <translation>Für den Bericht behalten: %1.</translation>
    </message>
    <message>
        <source>Hung as it was kept: %1.</source>
        <translation>Aufgehängt wie behalten: %1.</translation>
    </message>
    <message>
        <source>%1 cannot be hung here: choose the fixture of its row first.</source>
        <translation>%1 kann hier nicht aufgehängt werden: erst die Leuchte der Reihe wählen.</translation>
    </message>
</context>
<context>
    <name>glumet::ArrayView</name>
    <message>
        <source>Fixtures over the tank, from above</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixtures over the tank, from the side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Arrow keys left and right move the chosen fixture, up and down raise and lower all, a digit chooses one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture %1 at %2, %3 up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 from the left, %2 from the front: %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, in the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 under water: mean %2, %3 in the band</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ArrivedLines</name>
    <message>
        <source>Left and right go from number to number, Enter takes one.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::BenchStage</name>
    <message>
        <source>Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New run…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+R</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Remove the chosen run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Beam from a photometric file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New accessory…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Runs of this configuration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Runs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>new</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture shown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>maker&apos;s height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the maker&apos;s height as a range, such as 13–18.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>13–18</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank shown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>left wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>right wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>front wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in the way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>brace 28–32 × 0–60</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>use</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>bare bench tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>living tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>immersion ×</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>An immersion factor lies between 0.5 and 2; about 1.1 is usual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>applied by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nobody</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the meter&apos;s own mode</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>calibrated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>year-month-day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>That is a percentage from 0 to 50; 5 % is usual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>calibration ±</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>5 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cosine error</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>up to 60° off, if stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>response</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>400: 0.8, 450: 0.9, 550: 1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>twin reading…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Corrections</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in use</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 × %2 ± %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Factors come from a twin reading; empty this field to stop using them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settled within</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A reading settles within 0.1 to 20 %; 2 % is usual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>check point every</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A number of readings from 2 to 1000, or nothing for no check points.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>never</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe the meter first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings of %1 are corrected from now on; raw values stay beside them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New fixture %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New tank %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New meter %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name, such as &quot;frost diffuser&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>run %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Run planned; Measure shows its first point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 removed; Ctrl+Z brings it back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>planes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>draw, W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>warm-up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>half at %1°</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cosine to the power %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>table of %1 angles</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the emitters as columns × rows, such as 4 × 3.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the distance between emitters along and across, such as 2.8 × 2.8 cm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give the angle from the axis at which the light has fallen to half, 1 to 89°; half of the maker&apos;s full beam angle.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a photon flux above 0 µmol/s.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>emitters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>columns × rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>their spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>size of each</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each emitter shines from a patch of 0 to %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>beam</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>angle to half, or a file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Angle from the axis at which the light has fallen to half. A photometric file (LM-63) can be dropped on the window instead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flux, µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>if it is stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Beam from a photometric file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photometric files (*.ies *.IES);;All files (*)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Make a fixture first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 has the beam of %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>More of the fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How far the meter is to be believed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What it is judged for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How it is read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>More of the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 in %2 planes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>; its %1 planes differ by up to %2 and are kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Type a published chart…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+R</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Type a chart…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Means that somebody else published, instead of readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a chart by %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>means</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The chart is kept; Field shows its rings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Accessories</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Make an accessory first (Ctrl+K, New accessory).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>An accessory has a name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its price</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A price is a number of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::BlendingBoard</name>
    <message>
        <source>Blending, point by point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2 thousandths from the middle%3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, it shows</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::BoardView</name>
    <message>
        <source>What counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, weight %2 of 4: %3 %4, %5 %6%7</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, a tie</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ChannelRows</name>
    <message>
        <source>&quot;%1&quot; is not a channel of this fixture and its level, such as %2 50.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>deep red</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, share of light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, share of the watts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>levels are not known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Levels of the preset %1, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a share from 0 to 100 %.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not stated: taken as of the whole fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum shows it. What is measured goes before stated peaks.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Peak and width of each diode, 450/20; several as 450/20 0.3, 560/120 0.7. Taken for an assumption until a spectrum is measured.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, peaks and widths in nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>watts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>peaks, nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>file</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ChartDialog</name>
    <message>
        <source>Keep the chart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A published chart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Level, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Points, columns × rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each mean is good to ±, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Heights, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depths, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Means of the rings, µmol/m²s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Means of the rings, µmol/m²s. A cell left empty was not published.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lamp at %1, %2 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name the fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe the tank it was read in first, in Bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Say who read it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The level is a percentage above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>“%1” is no mean of 0 or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Points are columns × rows, up to %1 each</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How good a mean is, is a percentage above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Heights are lengths above 0, parted by semicolons</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depths are lengths of 0 or more, parted by semicolons</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Up to %1 planes can be typed; import a file of more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is deeper than the water of %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Type the means into the table</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 stands twice</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CheckRow</name>
    <message>
        <source>record</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>overrule…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>should read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>what it should read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Overrule this check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Why is it sound to go on? The reason is published with the review.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>still</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>air mode</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water mode</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>noon sun</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>twin meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not made</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>passed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>failed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> Overruled: %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: type a value first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A failed check is overruled only with a reason.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Overruled; the reason is published.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>second tether on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no second tether</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>somebody below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all as it should be</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no eyewear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>something is wet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no protection</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ColourChip</name>
    <message>
        <source>Its colour is not known.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>x %1, y %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>x %1, y %2: beyond what the screen can show; the nearest it can</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CommandList</name>
    <message>
        <source>All commands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What do you want to do?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Search commands</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CommissionPage</name>
    <message>
        <source>Dry hands at the plug, residual-current protection, no looking into the emitters, nobody under the load while it is moved.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan a run first; its checks are made here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CompareCards</name>
    <message>
        <source>What is compared</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2, mean %3, place %4, %5</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CompareStage</name>
    <message>
        <source>Compare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Copy the comparison as a table</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+C</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Write the comparison as figures and tables…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare by the ready weights</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep these fixtures on the shelf of this machine…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare with fixtures from the shelf…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>←, →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare: another fixture, with Shift what it is compared with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>↑, ↓, 0–4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare: a criterion of the board, and its weight</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>B, P, C, S, O</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare: board, pair, cost, scores, schools</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>N, M</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare: the next pair, more criteria</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Being compared … %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>board</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>cost</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>scores</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>schools</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One height for all; empty: each at its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One height for all; empty: each at the height its school recommends</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to keep on the shelf yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 fixtures lie on the shelf of this machine, as &quot;%2&quot;.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Side by side</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Two fixtures, or one with and without an accessory, read in the same tank, stand here side by side.
Plan lays them out, Measure takes them; data of others come by the shelf (in the list of commands).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a height above the water.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All %1 conditions are the same for all.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 more are the same for all.  = same  ~ corrected  ○ on purpose  ▲ not comparable</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>only what counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 more that do not count …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to copy yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The table is on the clipboard.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to write yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A folder for figures and tables</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 files were written to %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not ranked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 fixtures differ in nothing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Shown are the first of the board and the pair; %1 more stand in the table that is copied.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep what was read at the viewer&apos;s eye…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to compare yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 was not read here at this height.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read at the viewer&apos;s eye</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD at a seated viewer&apos;s eye, facing the lamp, with %1 %2 above the water; empty: not read.
Never look into the emitters while it is read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a PPFD of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ConnectedMeter</name>
    <message>
        <source>%1 is silent; trying again (%2)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is connected and sends nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 does not answer</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CopiesDialog</name>
    <message>
        <source>Earlier copies</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 as it was</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Kept when the project was opened, before it was brought to a new format, and once an hour while it changed. Restoring makes a project of its own: nothing is written over.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1     %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Restore as…</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::CostPage</name>
    <message>
        <source>–</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What they cost</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Output against hours burnt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number from 0 to %2 (%3).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Reckoned with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price a kWh</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>years</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hours a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>×</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>to buy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kWh/a</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>energy/a</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lamps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 years</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a mole</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>idle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing can be added up yet: state prices and the price of a kilowatt-hour.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 costs least over %2 years: %3 %4 in all, %5 a year.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>So many as the goal needs in this tank.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One of each; give &quot;price for the goal&quot; a weight for the number it takes.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 Missing: %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ageing: read the same fixture again after some thousand hours, with the hours in the run&apos;s &quot;Lamp burnt&quot;, and its maintenance factor stands here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hours burnt; dashed: a steady rate, which is assumed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>output, %</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::DayLogDialog</name>
    <message>
        <source>A logger&apos;s day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not said</source>
        <translation type="unfinished"></translation>
    </message>
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
    <message>
        <source>Name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depth under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep it</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::DayPage</name>
    <message>
        <source>Light through the day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Logger laid over it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add a clock first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>new</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A clock needs a name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lights</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How many lights run by this clock: a whole number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>gains, s a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Seconds that the clock gains a day, negative if it loses.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>price a kWh</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A price is a number of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not stated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>8:00 0, 9:00 80, 18:00 80, 19:00 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose a run first: a clock belongs to its fixture.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>clock %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A logger&apos;s day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tables (*.csv *.tsv *.txt);;All files (*)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no logger</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose a plane: the day is told for it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each clock as one light over the chosen plane, %1 under water, lamp at %2. Line: the logger, at its own place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 mol a day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>plateau %1, peak %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>day of %1 h, night light %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>logger %1 mol, plateau %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No clock yet: new, on the right, begins one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>DLI at this plane, its mean, all clocks together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>on it %1–%2, on all planes %3–%4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>add a file…</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FieldStage</name>
    <message>
        <source>Field</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>D, X, C</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Field: doubtful, excluded, contours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>M</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>contours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What was read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The field by the model: fitted to the readings, or as the fixture is described until it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How far the readings lie above or below the model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Between which depths each column lies in the band, by the model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cross-section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All planes: heights across, depths down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no run.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No model: %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No plane chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plane %1 under water, lamp at %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mean %1   peak %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read: mean %1   peak %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not read yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings appear here: measure them, or import a file (Ctrl+I).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1–%2</source>
        <translation type="unfinished">%1–%2</translation>
    </message>
    <message>
        <source>contours every %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A cross-section needs every cell of the grid.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Through %1: row (line) and column (dashed), %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Through %1: row, column (dashed), model (thin), %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>column</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Point at a cell, or walk with the arrow keys.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, swing %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, ± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   %1 | %2 %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   model %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Neither a flux nor a reading says how bright it is.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No model yet: neither a flux nor a reading says how bright it is.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>shadow, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How much of its light each point keeps under a hand&apos;s breadth of colony, by the model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read by %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Means of rings have no cross-section; the model has.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   ripple moves it %1 × as much as one point&apos;s light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, read ± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Field: readings, model, difference, band depths, shadow</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>off, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>colour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How far each point&apos;s colour is from the middle&apos;s, in thousandths of u&apos;v&apos;, by its channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No plane is chosen.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The plane has no grid that is read throughout.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A channel has no spectrum.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Δu&apos;v&apos; from the middle, in thousandths; about %1 shows (triangle).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No channel was read alone here, and none is fitted yet: Spectrum has them fitted.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   %1 %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   the spectrum read here is Δu&apos;v&apos; %1 off</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FigureTable</name>
    <message>
        <source>tie</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FindingsPanel</name>
    <message>
        <source>Findings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FitReport</name>
    <message>
        <source>Parameters of the fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings the fit distrusts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flux</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>along</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>across</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>walls</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lamp %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>output %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 ± %2 %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Every reading is trusted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 distrusted, the worst first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lamp | deep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>errors</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 | %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings lie %2 off the fit; reduced chi-square %3. Painted walls reflect %4. %5</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The light is round: no other beam explains the readings better.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The light is not round: it spreads otherwise along the fixture than across it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The light is not round, nor alike to both sides.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>right end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the readings do not tell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 means of others lie %2 off the fit; reduced chi-square %3. Painted walls reflect %4. %5</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The light is taken to be round.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The shape of its light is taken over, not read.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FixtureDrawing</name>
    <message>
        <source>The fixture in plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>emitters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>each wide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>length?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>width?</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::FormColumn</name>
    <message>
        <source>&quot;%1&quot; is not a length of %2 or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a length above %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number above %2 (%3).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number of %2 or more (%3).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>It needs a value: %1.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::HeightStage</name>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>How high to hang it</source>
        <translation>Wie hoch aufhängen</translation>
    </message>
    <message>
        <source>Evidence of the spill limit</source>
        <translation>Belege der Verlustgrenze</translation>
    </message>
    <message>
        <source>Dissent</source>
        <translation>Abweichende Meinung</translation>
    </message>
    <message>
        <source>Your dissent in words, published beside the schools</source>
        <translation>Ihre abweichende Meinung in Worten, neben den Schulen veröffentlicht</translation>
    </message>
    <message>
        <source>Recommended height</source>
        <translation>Empfohlene Höhe</translation>
    </message>
    <message>
        <source>Loss allowed</source>
        <translation>Erlaubter Verlust</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>At most %1 percent lost</source>
        <translation>Höchstens %1 Prozent verloren</translation>
    </message>
    <message>
        <source>Centre, mean and outer ring, µmol·m⁻²·s⁻¹</source>
        <translation>Mitte, Mittel und Außenring, µmol·m⁻²·s⁻¹</translation>
    </message>
    <message>
        <source>Loss against height</source>
        <translation>Verlust über der Höhe</translation>
    </message>
    <message>
        <source>Centre and outer ring against height</source>
        <translation>Mitte und Außenring über der Höhe</translation>
    </message>
    <message>
        <source>spill limit</source>
        <translation>Verlustgrenze</translation>
    </message>
    <message>
        <source>flattest</source>
        <translation>am ebensten</translation>
    </message>
    <message>
        <source>band fill</source>
        <translation>Bandfüllung</translation>
    </message>
    <message>
        <source>peak cap</source>
        <translation>Spitzendeckel</translation>
    </message>
    <message>
        <source>maker&apos;s range</source>
        <translation>Herstellerbereich</translation>
    </message>
    <message>
        <source>judged %1 under water</source>
        <translation>beurteilt %1 unter Wasser</translation>
    </message>
    <message>
        <source>met at %1</source>
        <translation>erreicht bei %1</translation>
    </message>
    <message>
        <source>best at %1</source>
        <translation>am besten bei %1</translation>
    </message>
    <message>
        <source>sure to %1</source>
        <translation>sicher auf %1</translation>
    </message>
    <message>
        <source>%1</source>
        <translation>%1</translation>
    </message>
    <message>
        <source>Measure one plane at two heights or more.</source>
        <translation>Messen Sie eine Ebene in zwei oder mehr Höhen.</translation>
    </message>
    <message>
        <source>Loss of the grid mean, %</source>
        <translation>Verlust des Rastermittels, %</translation>
    </message>
    <message>
        <source>Centre and edge apart, %</source>
        <translation>Abstand von Mitte und Rand, %</translation>
    </message>
    <message>
        <source>Points in the band at the best level, %</source>
        <translation>Punkte im Band bei bester Stufe, %</translation>
    </message>
    <message>
        <source>Peak, µmol·m⁻²·s⁻¹</source>
        <translation>Spitze, µmol·m⁻²·s⁻¹</translation>
    </message>
    <message>
        <source>Within the maker&apos;s range: 1 holds</source>
        <translation>Im Herstellerbereich: 1 heißt gehalten</translation>
    </message>
    <message>
        <source>by the fit %1</source>
        <translation>nach der Anpassung %1</translation>
    </message>
    <message>
        <source>by the fit: silent</source>
        <translation>nach der Anpassung: keine Aussage</translation>
    </message>
    <message>
        <source>limit %1</source>
        <translation>Grenze %1</translation>
    </message>
    <message>
        <source>centre</source>
        <translation>Mitte</translation>
    </message>
    <message>
        <source>grid mean</source>
        <translation>Rastermittel</translation>
    </message>
    <message>
        <source>outer ring</source>
        <translation>Außenring</translation>
    </message>
    <message>
        <source>lamp above water, %1</source>
        <translation>Leuchte über Wasser, %1</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>mean</source>
        <translation>Mittel</translation>
    </message>
    <message>
        <source>loss</source>
        <translation>Verlust</translation>
    </message>
    <message>
        <source>±</source>
        <translation>±</translation>
    </message>
    <message>
        <source>peak</source>
        <translation>Spitze</translation>
    </message>
    <message>
        <source>outer</source>
        <translation>außen</translation>
    </message>
    <message>
        <source>within</source>
        <translation>gehalten</translation>
    </message>
    <message>
        <source>yes</source>
        <translation>ja</translation>
    </message>
    <message>
        <source>no</source>
        <translation>nein</translation>
    </message>
    <message>
        <source>fitting … %1</source>
        <translation>Anpassung läuft … %1</translation>
    </message>
    <message>
        <source>Two heights or more of one plane show here how the light falls and spreads with the mounting height.
Plan lays them out, Measure takes them.</source>
        <translation>Zwei Höhen oder mehr einer Ebene zeigen hier, wie das Licht mit der Montagehöhe fällt und sich ausbreitet.
Planen legt sie fest, Messen nimmt sie auf.</translation>
    </message>
    <message>
        <source>Means that %1 read are being fitted; they answer by the fit alone.</source>
        <translation>Mittel, die %1 gemessen hat, werden angepasst; sie antworten allein durch die Anpassung.</translation>
    </message>
    <message>
        <source>The fit of the means that %1 read gives this school no answer.</source>
        <translation>Die Anpassung der Mittel, die %1 gemessen hat, gibt dieser Schule keine Antwort.</translation>
    </message>
    <message>
        <source>modelled, not measured</source>
        <translation>modelliert, nicht gemessen</translation>
    </message>
    <message>
        <source>Rests on %1 means of rings that %2 read: their meter and their heights are taken as stated. No reading of your own stands behind it.</source>
        <translation>Beruht auf %1 Ringmitteln, die %2 gemessen hat: Messgerät und Höhen gelten wie angegeben. Keine eigene Messung steht dahinter.</translation>
    </message>
    <message>
        <source>Means of rings have no points to compare from height to height.
Field and Array show what their fit says.</source>
        <translation>Ringmittel haben keine Punkte, die sich von Höhe zu Höhe vergleichen ließen.
Feld und Reihe zeigen, was ihre Anpassung sagt.</translation>
    </message>
</context>
<context>
    <name>glumet::HtmlWriter</name>
    <message>
        <source>Contents</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Recommendation: %1</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ImportDialog</name>
    <message>
        <source>Leave the bad rows out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What %1 says</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Preview</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What cannot be taken</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height, where not said</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depth, where not said</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>between columns</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>between rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>top row is the back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>top row is the front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>order of rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tank, fills the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The file holds no reading.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Columns parted by %1, numbers with a decimal %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>comma</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A sheet of %1 planes, %2 points. %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings in %2 runs of %3 fixtures. %4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> Kept as they are: %1 more columns.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>and %1 more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import %1 readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>columns × rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>x</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>y</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flag</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings imported</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, %1 were there already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, %1 replace an earlier value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tank, where not said</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 means of rings in %2 runs, read by %3. They are fitted as means and stay apart from readings of your own. %4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import %1 means</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>±</source>
        <translation type="unfinished">±</translation>
    </message>
    <message>
        <source>read by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 means imported; Field shows their rings</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::InstrumentDialog</name>
    <message>
        <source>Instrument %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Instruments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Close</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Use this instrument</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Look for instruments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light (PPFD)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>power at the wall</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>W/m² per nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol/m²/s per nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>serial line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>TCP lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modbus TCP</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Modbus RTU</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>log file that grows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>recorded session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD=([0-9.]+), instead of a column</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>MEAS?, if it must be asked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>16 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>16 bit signed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>32 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>32 bit signed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>32 bit float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>input register</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>low word first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>measures</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>value in column</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>or by pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>question</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>asked every</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>unit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>register</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>first wavelength, nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>step, nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>values are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>times</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Test the connection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Not connected</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lines as they come</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 sends %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing that can be read was heard.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop looking</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>End the test</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Live, %1 values</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Connecting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1; %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>serial port</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>baud rate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>host</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>TCP port</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What it sends. Click the number that is meant, or ← → and Enter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reads up to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>INT {ms}, if it takes one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>integration time</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::KeptPlans</name>
    <message>
        <source>Arrays kept for the review</source>
        <translation>Für den Bericht behaltene Anordnungen</translation>
    </message>
    <message>
        <source>keep what hangs now</source>
        <translation>behalten, was jetzt hängt</translation>
    </message>
    <message>
        <source>array</source>
        <translation>Anordnung</translation>
    </message>
    <message>
        <source>over</source>
        <translation>über</translation>
    </message>
    <message>
        <source>hung</source>
        <translation>aufgehängt</translation>
    </message>
    <message>
        <source>height</source>
        <translation type="unfinished">Höhe</translation>
    </message>
    <message>
        <source>Name to keep it by</source>
        <translation>Name, unter dem sie behalten wird</translation>
    </message>
    <message>
        <source>No array is kept yet.</source>
        <translation>Noch ist keine Anordnung behalten.</translation>
    </message>
    <message>
        <source>Choose one of the list first.</source>
        <translation>Erst eine der Liste wählen.</translation>
    </message>
    <message>
        <source>hang it</source>
        <translation>aufhängen</translation>
    </message>
    <message>
        <source>remove it</source>
        <translation>entfernen</translation>
    </message>
    <message>
        <source>rename it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Words about the chosen one, for the review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Another array over that tank is called %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>choose an array of the list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>words about it, for the review</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::KeySheet</name>
    <message>
        <source>Keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tab</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next part of the window</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::LedgerLine</name>
    <message>
        <source>Live reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all saved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>saved %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lengths in %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>paper</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dim room or paper</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no live reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>connection lost</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   %1 W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>   %1 silent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>swing %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dim</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n findings</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>Shows or hides them (F6)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Instruments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Connect an instrument</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Or type readings in Measure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>file is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read only</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::LineMeter</name>
    <message>
        <source>%1 sent %2 lines that could not be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 sends more than %2 lines a second; %3 were passed over</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::LogFileSource</name>
    <message>
        <source>the file is gone</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::MainWindow</name>
    <message>
        <source>Project</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture and configuration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New project…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New project</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open a project…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open a project</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+N</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+O</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Save a copy as…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+S</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Save a copy as</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Copied to %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import readings…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+I</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Import readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Export readings and bench…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+E</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Export to a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Quit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Q</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+%1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose fixture and configuration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+F</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next height up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next height down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plane above</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PgUp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plane below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PgDown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Undo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Redo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+Z</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Instruments…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+L</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Disconnect the instruments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Disconnected: readings are typed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Practice meter on or off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+M</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lengths in centimetres</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lengths in millimetres</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lengths in inches</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fit the fixture to its readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+J</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fitting …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The fit is up to date.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Stop work in the background</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dim room or paper</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+T</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All commands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+K</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>F1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 – Glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no run yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Opened %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 imported</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 readings and the bench exported to %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Practice meter off: readings are typed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Practice meter on: simulated and marked so; now and then the probe slips. Find it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Undone: %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing to undo.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Done again: %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing to do again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>bench.glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is connected; Instruments disconnects it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>copy.glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Findings in a narrow window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>F6</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>. Ctrl+Shift+L connects %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Connect the last instrument</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+L</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No instrument was used before: set one up in Instruments.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is being connected.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Earlier copies…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 rescued.glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No earlier copy is kept yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 as of %2.glumet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Restore as</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 (read only)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open to be looked at only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1. Save a copy (Ctrl+Shift+S) to work on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open to be looked at only; edits are refused.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Damaged: what can be read is shown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The project is damaged; what can be read is shown.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>and %n more</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>Nothing seems to be missing.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Missing: %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Save a copy (Ctrl+Shift+S): it is a sound project to work on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Earlier copies are in the project&apos;s menu.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is open already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This is the project that is open.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 imported, with %2 readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tables, workbooks, bench descriptions, data packages, photometric files (*.csv *.txt *.tsv *.xlsx *.ods *.json *.zip *.ies);;All files (*)</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::MatrixView</name>
    <message>
        <source>Test matrix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing is planned yet. Add runs makes them from a method: heights, depths and a grid. A fixture and a tank must be described in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, fixture at %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>; %1 deep %2 of %3 read</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n doubts</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
</context>
<context>
    <name>glumet::MeasureStage</name>
    <message>
        <source>Measure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Space</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: take the mean once settled; again: take it now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>0–9, Enter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: type a value and keep it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Backspace</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: one point back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>R</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: read the last point again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>G</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: go to the first doubtful point</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>H</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Measure: hands free, or by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Arrows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Walk the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This sweep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Probe at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Live mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Typed value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How near to settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>space</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>0–9</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>doubt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hands free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing to measure yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lamp at %1, plane %2 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan a run first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan makes runs from a method: heights, depths and the grid.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Practice: %1 from the truth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan a run, or import readings.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Kept last: %1 %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, swing %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, ± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>free points: import them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of %2 points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>arrows choose a
point to read again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the reference point
once more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read before,
once more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 from left
%2 from front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹, kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a shadow left out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>time is up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>taken when settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settling</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹ ± %1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>last %1 s, swing %2–%3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no meter; digits type a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>waiting for the meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>taken; move the probe to the next point, or press space there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving; it goes on once the light is calm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hands free: taken at ± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>will be taken at ± %1; space again takes it now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settled when the mean is sure to %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>T tones %1, S speech %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No point of this plane is in doubt.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plane complete.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next, %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Back to the reference, %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Once more, %1.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::MethodPage</name>
    <message>
        <source>forget this method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep as my method…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>and after it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Matrix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>heights</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>12, 15, 18 or 12–30 by 3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A grid is columns × rows, 1 to 60 each, such as 6 × 6.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>or spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A spot is a name, then from left × from front: reef top 30 × 22.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>name x × y; name x × y</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>And for each of these</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>channel mixes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none; frost diffuser</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>how many hang</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1 to 20 fixtures may hang.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>outer two apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>by equal division</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>still, pumps off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none: in air</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no other</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All of it is planned already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing to plan yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add the runs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 runs, %2 points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>About %1 at your pace of %2 s a point.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>About %1 at a usual pace of %2 s a point; yours is taken once you have read some.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> Between %1 and %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add these %1 runs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All of it is planned already.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>plan: %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 runs planned; Ctrl+Z takes them back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep as my method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>My %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A ready method has that name already.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is kept for every project.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::MixerView</name>
    <message>
        <source>The mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Each beam is as long as the light its channel can give; hatched is what is paid for and turned down. ≈: the channel was not read alone.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2 %, %3 µmol/m²/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation type="unfinished">%1 %</translation>
    </message>
</context>
<context>
    <name>glumet::ModbusFrames</name>
    <message>
        <source>what came is no Modbus</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the answer is of another protocol</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the answer is of another unit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the instrument refuses the question (%1)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the answer is of another kind</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the answer has the wrong length</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ModbusMeter</name>
    <message>
        <source>%1 left %2 questions without a value</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PagesView</name>
    <message>
        <source>The pages as they will be published</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>page %1: %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PairPage</name>
    <message>
        <source>The pair by depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Conditions of the pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>differs on purpose</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Where the chosen one is brighter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not on purpose</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 free points, each within 5 mm of the other&apos;s.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>In the map, %1 under water: how much brighter or dimmer %2 is than %3, in per cent; = is a tie. In the table the means of all points, of the outermost ring and of the innermost.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ratio</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>tie</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>outer ring</source>
        <translation type="unfinished">Außenring</translation>
    </message>
    <message>
        <source>middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>peak</source>
        <translation type="unfinished">Spitze</translation>
    </message>
    <message>
        <source>swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>swing, other</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>yes</source>
        <translation type="unfinished">ja</translation>
    </message>
    <message>
        <source>no</source>
        <translation type="unfinished">nein</translation>
    </message>
    <message>
        <source>light %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>interval</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>edge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>–</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>modelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>condition</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>alike?</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PartsList</name>
    <message>
        <source>left out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nothing in it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>with doubts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ready</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What goes in, in this order</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Words at the beginning</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Space ticks, Shift and the arrows move</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PdfLayouter</name>
    <message>
        <source>%1 of %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PlanMap</name>
    <message>
        <source>Plan of the plane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, doubtful</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, next</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, in the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, outside</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PlanStage</name>
    <message>
        <source>Plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Go on where it stopped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+G</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan: add runs from a method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+P</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan: checks before the first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+B</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan: checklist and point sheets on paper…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>matrix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>add runs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>before the first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A box is a mounting height, its shelves the depths, filled as far as they are read. ▲ counts doubts. Enter measures the chosen plane.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Checklist and point sheets…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nothing planned yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of %2 points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All that is planned is read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan a run first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Checklist and point sheets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 pages written to %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PlaneFigures</name>
    <message>
        <source>Figures of the plane</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in band %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>min / mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>max / mean %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>CV over the points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 µmol/J</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>delivered, µmol/s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>least</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>greatest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read by %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>± %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>of %1 × %2 points</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::PlaneSheetView</name>
    <message>
        <source>All planes of this sweep</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ProbeReading</name>
    <message>
        <source>Hands free: settled means are taken; move the probe to go on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>By hand: space takes the mean.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No meter: type the value, then Enter.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The meter has sent nothing yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: Instruments (Ctrl+L) says how they are read.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::Project</name>
    <message>
        <source>tank %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>accessory %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>meter %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>run %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>check before the first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the fixture is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>method</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reading %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the plane is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: ring %2 contradicts what is there: %3, and %4 before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spectrum %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>schedule %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>logger %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of spectra</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a schedule</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a logger&apos;s day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>score by %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a score</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>choice for the review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spot %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>organism %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>ramp %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of an organism</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the spot is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>rock %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a rock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>removal of a reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>planned array %1</source>
        <translation>geplante Anordnung %1</translation>
    </message>
    <message>
        <source>removal of a planned array</source>
        <translation>Entfernen einer geplanten Anordnung</translation>
    </message>
</context>
<context>
    <name>glumet::PublishStage</name>
    <message>
        <source>Publish</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Publish to a folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is nothing to publish yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Publish to a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Published by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>your name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Licence of the data</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>published by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>licence of the data</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No licence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Without one nobody may use the data: choose what others may do with it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open a form of review…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Save the form of this review…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Publish: tick a section, move it up or down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Return</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Publish: show the words on the page</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Being laid out … %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What goes in, in this order</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Of which fixtures</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixtures in the review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>None ticked: the one that is looked at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Form</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Form of the review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Insert a figure of the project</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Your own words for this section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Your own words, in Markdown. They stand under the section&apos;s heading; Ctrl+Return shows them on the page.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is too large for a template.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The form lies in %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open a form of review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Markdown (*.md)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Save the form of this review</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Edition %1: %2 files in %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Being laid out …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The review</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>The review, %n page(s)</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>your own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Your words under &quot;%1&quot;</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Your words at the beginning</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>insert a figure</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n card(s), one review, one package</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>HTML and PDF, cards as pictures, figures as SVG and PNG, workbooks, and everything behind them as an open data package.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2 instead of %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Since edition %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing is called {{%1}}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The words stand as they were typed; &quot;insert a figure&quot; has the names.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%1: %n doubt(s) printed</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>%1 is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1. Fill it, or leave the section out.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose a folder; an edition that lies there is followed by the next.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Space, Shift+↑, Shift+↓</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>On page %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> Readers see them; a check that failed can be commented, not hidden.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ReadingTaker</name>
    <message>
        <source>%1 is live.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No reading is taken: %1 Ctrl+B shows the check.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A reading is a number of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 kept at %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2. G goes back to it.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ReplaySource</name>
    <message>
        <source>the file holds no recorded line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the recording has ended</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::RunDialog</name>
    <message>
        <source>New run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>still, pumps off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>dry</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plan this run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Level, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How many hang</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Height over water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depths, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dark reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Warm-up, min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Never look into the emitters; nobody under a hanging load while it is raised; dry hands at the plug.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a fixture in Bench first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank in Bench first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The height must be a length above 0</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The level is a percentage</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1 to 20 fixtures may hang</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The dark reading is a number of 0 or more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The warm-up is a number of minutes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depths lie within the water, parted by semicolons; a grid is columns × rows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Turned, °</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A fixture is turned by 0 to 360 degrees</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lamp burnt, h</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the lamp has burnt is a number of hours</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ScanDialog</name>
    <message>
        <source>nine points in air</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read spectra of %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a channel or a mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the next point of a blending test</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moments: each scan by itself</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all channels on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>preset %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Scans averaged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Kept as</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Belongs to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name of the test</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Points in a row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Distance between points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Emitters above the sensor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Never look into the emitters; wear eye protection where violet or UV is on.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Close</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A test needs a name and a distance between its points.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>point %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A test needs a name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moment %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moments</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No spectrometer: set one up under Instruments (Ctrl+L).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of %2 scans …</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n scans, %1 µmol·m⁻²·s⁻¹, swing ±%2%3%4</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>, dark not subtracted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, dark subtracted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>. Flat at its top: saturated? Shorten the integration time.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cover the sensor and press Dark, then uncover it and press Read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dark kept. Read the light.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next: point %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the spectrometer sends appears here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 gives no spectra: use a spectrometer (Instruments, Ctrl+L).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source> ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Integration time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The spectrometer was not told: it is not connected.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SchoolsPage</name>
    <message>
        <source>The order by school</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 hangs at %2. </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Most moves because %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The schools are being asked …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing can be ranked yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The order is the same under every school.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 of %2 schools would order them otherwise.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>–</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ScoresPage</name>
    <message>
        <source>–</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Who scores</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>your name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Beside whose scores</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>scored by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>beside</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Scores stand by themselves: no measured rank rests on them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2 of %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: why</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>why</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>photo…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: photo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 — 1: %2.  3: %3.  5: %4.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, with %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>see photo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Say who scores: your name belongs to every score.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A photo of what was scored</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pictures (*.jpg *.jpeg *.png)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is no picture that can be kept.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photo of what was scored</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Remove the photo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Close</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>accessory</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>criterion</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>score</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>by</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SectionView</name>
    <message>
        <source>Section of the bench</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture at %1, plane %2 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank not described</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2 × %3 × %4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>planned</source>
        <translation>geplant</translation>
    </message>
    <message>
        <source>doubtful</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>recommended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>band %1–%2, by the model</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>to scale, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The tank and every height you measure at will stand here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixture at %1, </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, recommended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Plane %1 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, mean %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, hangs there</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::Session</name>
    <message>
        <source>Open or make a project first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The project&apos;s file is no longer at %1: what is stored now is kept only until this window closes. Save a copy (Ctrl+Shift+S).</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::Sheets</name>
    <message>
        <source>Before the first reading</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 points on %2 planes, about %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lamp at %1; planes %2 %3 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Lamp at %1, plane %2 under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1. Walk the numbers; write each mean in its box. Type them in by Measure in the same order.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>More points</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ShelfDialog</name>
    <message>
        <source>Take from the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The shelf of this machine</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Fixtures of other projects, and data that others published. What is ticked stands beside your own; others&apos; readings rest on benches nobody here knows, and say so.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What lies on the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Compare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1. From %2, kept %3.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 (your own)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>▲ %1: not as it was kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Nothing lies there yet. &quot;Keep these fixtures on the shelf&quot; puts a project&apos;s fixtures there; a folder that somebody exported or published can be added.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A folder with readings.csv and bench.json</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Take &quot;%1&quot; from the shelf? Its files there are removed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; could not be removed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add a folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add a data package…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A data package</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Data packages (*.zip)</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SimulatedMeter</name>
    <message>
        <source>Practice meter (simulated)</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SpectraDialog</name>
    <message>
        <source>nine points in air</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep the spectra</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra of %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>These are %1 spectra: take 500 at a time.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all channels on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>preset %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 belongs to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>range, nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>peaks, nm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>belongs to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra in the files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>say which …</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>power (W)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>photons (µmol)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spectra of channels or mixes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>points of a blending test, row by row from the back left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moments at one place, under moving water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The files do not say whether values are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>They are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name of the test</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Points in a row</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Distance between points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Emitters above the sensor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Say whether the values are power or photons.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A test needs a name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A test needs three spectra or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How many points stand in a row: a whole number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The distance between points is a length.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The height above the sensor is a length, or nothing.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SpectrumPlot</name>
    <message>
        <source>Spectrum and bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2–%3 nm: %4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 nm, in %2 (%3–%4): %5 of the photons</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SpectrumStage</name>
    <message>
        <source>Spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add spectra from files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+A</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read spectra from the spectrometer…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+P</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep this mix as a preset…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Set the mix that fills the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Edit the bands of the spectrum…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Correct the meter by its response</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>↑, ↓</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum: choose a channel of the mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>←, →, digits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum: its level, with Shift by tens</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>D</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectrum: the light or its day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>keep…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>fill the band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Laid over it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How spectra are laid over each other</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>same PPFD</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>same peak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Preset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep these levels as a preset of the fixture</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The levels that put most of the run&apos;s points into the goal&apos;s band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Blending test</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>add spectra…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The mix is as it was when it was opened.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This mix, %1 under the lamp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>the middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No mix: %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Every channel is off.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A channel has no spectrum: add one from a file, or state its peak in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD, mean here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>– W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>draw not known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at the wall, %1 idle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in %1–%2, all planes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No dimming of this mix puts more into the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Dimmed as a whole to %1 % it puts %2 into the band.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at %1, after the water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>farthest, %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No blending test yet: nine spectra under the lamp show how its channels mix.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n points</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>×10⁻³ Δu&apos;v&apos; from their mean, %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>×10⁻³ Δu&apos;v&apos; from the middle, %1–%2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>against nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as mixed here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no mix to keep.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Keep this mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name of the preset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is a preset called %1 already.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no mix to set.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra of %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra (*.csv *.tsv *.txt *.spdx *.xml *.jdx *.dx *.jcamp);;All files (*)</source>
        <translation type="unfinished"></translation>
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
    <message>
        <source>There is no meter or no mix.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 has no response stated, or the mix no spectrum.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>From now on readings of %1 by %2 are multiplied by %3; raw values stay beside them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Bands of the spectrum</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Names and spans in nm, with commas; nothing brings the ready ones back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>This mix at %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ripple moves its light %1 × as much as one point&apos;s</source>
        <translation type="unfinished"></translation>
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
    <message>
        <source>Write the spectra as files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spectra to a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 has no spectra yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message numerus="yes">
        <source>%n spectra written to %1</source>
        <translation type="unfinished">
            <numerusform></numerusform>
            <numerusform></numerusform>
        </translation>
    </message>
    <message>
        <source>No fixture yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, 10–90 %</source>
        <translation type="unfinished">%1 % {1, 10–90 ?}</translation>
    </message>
    <message>
        <source>Describe a fixture and its channels in Bench: they make the spectrum.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Add the channels&apos; spectra, or state their peaks in Bench.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a fixture in Bench first: spectra belong to it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read a run</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>With readings the mix has its light, its watts and its share in the band.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SpotWalk</name>
    <message>
        <source>Name spots in the tank first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 kept at %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A reading is a number of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::StageBar</name>
    <message>
        <source>Stages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Judge</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Give</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::StartPage</name>
    <message>
        <source>From a probe on a stick to a height you can publish</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Look at the demonstration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>New bench…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Say what hangs over what, plan, read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings to import…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A table or a sheet you have; a project is made beside it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Open a project…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>One from another place.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Opened last</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1   in %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Six invented fixtures, read, judged and published; a copy of your own.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SurveyStrip</name>
    <message>
        <source>The looks at the tank, along time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A click compares a look with the one before it; with Shift the later one stays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2 spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, compared</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::SweepProgress</name>
    <message>
        <source>Progress of the sweep</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TankDrawing</name>
    <message>
        <source>clear glass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>acrylic</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>painted or covered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The tank in plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>water deep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>glass</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>painted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a usual cube,
until you say</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TankForm</name>
    <message>
        <source>&quot;%1&quot; is not a number.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Which tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose a spot first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A spot needs a name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>reading now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a length.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>under water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from the left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from the front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>flow</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>not known</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>medium</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Read the spot first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a span about the mean, such as 80–200.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>least–most</source>
        <translation>von–bis</translation>
    </message>
    <message>
        <source>turned, °</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>0: level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in the way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>something</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>noted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>take this reading back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The spot was not read yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a photo of the spot…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Photo of the spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A photo of the spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pictures (*.jpg *.jpeg *.png)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 is no picture that can be read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a PPFD of 0 or more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Who lives there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>species</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>nobody</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>seen at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a span such as 80–200.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>your own evidence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>does</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>thrive</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>decline</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Say first who lives there.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>goal</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Make a new one first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Rocks and colonies</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>a new one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>which</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>called</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a span such as 20–35.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lets through, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>0: stone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>remove this one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Make a new plan first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Brightening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>from, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>to, %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>weeks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>at most, % a week</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>brighter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>begins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>rises by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>equal points</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>equal shares</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>all of the light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Without a meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>lamps as if</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as they hang</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Choose the lamps first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>how many</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>1 to %1 lamps.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>over water</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a height.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank in Bench first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>rock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no rock.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>new light</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no plan.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>its readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>read on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a date such as 2026-11-24.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>year-month-day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Readings of the spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PPFD</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>turned %1°</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TankStage</name>
    <message>
        <source>Tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A new spot in the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A new plan to brighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pause the brightening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Go on brightening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Brightening: a step back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The brightening as a calendar…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>←, →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank: another spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Who should move, and how slowly to brighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Levels over the weeks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the spots had, survey by survey</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The tank from the front, with its spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Depth of the map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>new spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>new plan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the spots had</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>● has what it asks   ▲ more   ▼ less   ○ bare</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank in Bench first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no plan.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The plan as a calendar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Calendar (*.ics)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 days in %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Describe a tank in Bench first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, not read yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>No light is being raised</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Brightening: %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>  hold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A new light begins dim and is raised over weeks, so that nothing bleaches.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>At its end.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light at %1, between the spots as they tell it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>light at %1, between the spots by the fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The spot, who lives there, and the brightening</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A new rock or colony in the tank</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Walk from spot to spot with the probe, or end it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Ctrl+Shift+W</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A sheet of the tank to write on…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>N, D, A</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Tank, walking: pass over; in the way; turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>walk with the probe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>calendar…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>sheet…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>end the walk</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A sheet to write on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1.pdf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The sheet is in %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 ≈ %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1, read %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>There is no plan, and no look to come back to.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 deep here: about %2 (%3–%4)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 deep here: not known, %2 to %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>What the spots had, and what changed from %1 to %2, all in all %3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>as if %1 hung there, at the spots only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>where nothing was read nothing is coloured</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TankView</name>
    <message>
        <source>The tank from above, with its spots</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, has what it asks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, more than it asks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, less than it asks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>, not read</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TcpRegisterLink</name>
    <message>
        <source>no answer came in time</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::TwinDialog</name>
    <message>
        <source>Use this factor</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Twin reading of %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>any channel mix</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>own  twin
214  223
198  207
…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pairs of readings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Holds for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The other meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Its calibration, ± %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Pairs, own then twin</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Hold both sensors at the same place and depth, one channel mix at a time, and write down what each shows. Raw values stay beside the corrected ones.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>line %1</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>two numbers are wanted: own, then twin</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Name the other meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>The calibration is a percentage from 0 to 50</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>× %1 ± %2</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::ValueStrip</name>
    <message>
        <source>Last seconds of the reading</source>
        <translation type="unfinished"></translation>
    </message>
</context>
<context>
    <name>glumet::WalkPanel</name>
    <message>
        <source>The walk from spot to spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Live mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Typed value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>How near to settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Probe at</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>space</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>0–9</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>type</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>one back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>N</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>pass over</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>D</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>in the way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>A</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>turned</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>H</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>hands free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Esc</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>%1 under water, %2 from left, %3 from front</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>last %1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>spot %1 of %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>probe turned by %1°</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>probe level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>something in the way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>kept; move the probe to the next spot</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>moving; it goes on once it is calm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>µmol·m⁻²·s⁻¹ ± %1, %2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>taken when settled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>settling</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>no meter; digits type a value</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>waiting for the meter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>All spots are read.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next, %1.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>Next, %1, %2.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <source>&quot;%1&quot; is not a number.</source>
        <translation type="unfinished"></translation>
    </message>
</context>
</TS>
