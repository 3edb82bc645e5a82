<!DOCTYPE html>
<html lang="{{LANGUAGE}}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{TITLE}}</title>
<meta name="description" content="{{SUBJECT}}">
<meta name="generator" content="Glumet">
{{#AUTHOR}}<meta name="author" content="{{NAME}}">
{{/AUTHOR}}<style>{{STYLE}}</style>
</head>
<body>
<div class="page">
<input class="unit" type="radio" name="unit" id="unit-own" checked><label for="unit-own">{{OWN_UNIT}}</label>
<input class="unit" type="radio" name="unit" id="unit-other"><label for="unit-other">{{OTHER_UNIT}}</label>
<main>
{{#BLOCK}}{{#H1}}<h1 id="{{ID}}">{{TEXT}}</h1>
{{/H1}}{{#CONTENTS}}<nav aria-label="{{LABEL}}"><ol>{{#ENTRY}}<li><a href="#{{ID}}">{{TEXT}}</a></li>{{/ENTRY}}</ol></nav>
{{/CONTENTS}}{{#H2}}<h2 id="{{ID}}">{{TEXT}}</h2>
{{/H2}}{{#H3}}<h3 id="{{ID}}">{{TEXT}}</h3>
{{/H3}}{{#H4}}<h4 id="{{ID}}">{{TEXT}}</h4>
{{/H4}}{{#PARAGRAPH}}<p class="{{TONE}}">{{TEXT}}</p>
{{/PARAGRAPH}}{{#LIST}}<ul class="{{TONE}}">{{#ITEM}}<li>{{TEXT}}</li>{{/ITEM}}</ul>
{{/LIST}}{{#ORDERED}}<ol class="{{TONE}}">{{#ITEM}}<li>{{TEXT}}</li>{{/ITEM}}</ol>
{{/ORDERED}}{{#FACTS}}<dl>{{#FACT}}<dt>{{KEY}}</dt><dd{{#MISSING}} class="missing"{{/MISSING}}>{{VALUE}}</dd>{{/FACT}}</dl>
{{/FACTS}}{{#TABLE}}<div class="wide"><table>{{#CAPTION}}<caption><span>{{TEXT}}</span></caption>{{/CAPTION}}
<thead><tr>{{#HEAD}}<th scope="col"{{#WORDS}} class="words"{{/WORDS}}>{{TEXT}}</th>{{/HEAD}}</tr></thead>
<tbody>{{#ROW}}<tr>{{#FIRST}}<th scope="row"{{#WORDS}} class="words"{{/WORDS}}>{{TEXT}}</th>{{/FIRST}}{{#CELL}}<td{{#WORDS}} class="words"{{/WORDS}}>{{TEXT}}</td>{{/CELL}}</tr>
{{/ROW}}</tbody></table></div>
{{/TABLE}}{{#FIGURES}}<div class="figures">{{#FIGURE}}<figure class="w{{WIDTH}}">{{PICTURE}}<figcaption>{{TEXT}}</figcaption></figure>{{/FIGURE}}</div>
{{/FIGURES}}{{#CARD}}<section class="card" aria-label="{{LABEL}}">
<p class="name">{{CARD_TITLE}}</p>{{#SUBTITLE}}<p class="muted">{{TEXT}}</p>{{/SUBTITLE}}
<div class="glance"><div class="says">{{#OVER}}<p class="over">{{TEXT}}</p>{{/OVER}}{{#ANSWERED}}<p class="answer">{{ANSWER}}</p>{{/ANSWERED}}{{#UNDER}}<p>{{TEXT}}</p>{{/UNDER}}</div>
<dl class="figures-of">{{#CARD_ROW}}<dt>{{KEY}}</dt><dd><strong>{{VALUE}}</strong>{{#NOTE}}<br><span class="muted">{{TEXT}}</span>{{/NOTE}}</dd>{{/CARD_ROW}}</dl>
{{#MAP}}<div class="map">{{PICTURE}}</div>{{/MAP}}</div>
{{#NOT_FOR}}<p class="doubt">{{TEXT}}</p>{{/NOT_FOR}}{{#PROVENANCE}}<p class="muted small">{{TEXT}}</p>{{/PROVENANCE}}
</section>
{{/CARD}}{{/BLOCK}}</main>
<footer class="muted small">{{FOOTER}}</footer>
</div>
</body>
</html>
