/*
 * How coaches write exercises, and the words of the catalogue for it. Every row is `written > meant`, both already plain
 * (small letters, no accents, one space between words); several spellings of one thing stand in one row, cut by `|`.
 */

/** Words and phrases that mean other words. Longer ones come before what they contain. */
const WORDS = `
close grip bench|cgbp|cg bench|narrow bench press|narrow bench|close grip barbell bench press > narrow grip bench press
close grip > narrow grip
sz curl > cambered bar curl
angled bar|sz bar|sz stange|sz > cambered bar
dumbell|dumbel|dbs|db|kh|kurzhanteln|kurzhantel|mancuernas|mancuerna|halteres|haltere|hantel|hantler|manubri > dumbbell
bb|bar bell|lh|langhantel|barre|barra|stang > barbell
kb > kettlebell
press down|press downs|pressdown|pressdowns|push down|push downs|trizepsdrucken > pushdown
skullcrusher|skullcrushers|skullies|skulls > skull crusher
pullup|pullups|dominadas|traction|tractions|klimmzug|klimmzuge > pull up
chinup|chinups|chins > chin up
pushup|pushups|liegestutz|liegestutze|pompes > push up
pull down|pull downs|latzug|tirage vertical|jalon > pulldown
pulldown lat > lat pulldown
facepull|facepulls > face pull
lat raise|lat raises|side lateral|side laterals|lateral|laterals|side raise|side raises|seitheben|elevations laterales|elevaciones laterales > lateral raise
lateral raise raise|lateral raise raises > lateral raise
rear delt fly|rear delt flyes|rear delt flies|rear delts|reverse fly|reverse flyes|rear delt raise > rear fly
flyes|flies|flye > fly
pec deck|pec dec|pecdeck|butterfly > machine chest fly
hammer curls|hammers|hammercurl|hammercurls|curl marteau|curl martillo > hammer curl
preachers > preacher curl
ohp|military press|mp > overhead press
shoulder press|schulterdrucken > overhead press
oh > overhead
uberkopf|au dessus de la tete > overhead
tri|tris|trizeps|triceps brachii > triceps
bi|bis|bizeps > biceps
ext|exts|strecken|extensions > extension
single arm|single handed|1 arm|1arm|unilateral|einarmig|sa > one arm
inc|schrag|inclinado > incline
schragbankdrucken > incline bench press
bankdrucken|developpe couche|press banca|benkpress > bench press
rudern|remo|rowing|roing > row
bor|bent row|bentover row > bent over row
kreuzheben|souleve de terre|markloft > deadlift
kniebeugen|kniebeuge|sentadilla|sentadillas|kneboy > squat
beinpresse|presse a cuisses|prensa > leg press
beinstrecker > leg extension
beinbeuger|hamstring curl|ham curl > leg curl
wadenheben|calf raises > calf raise
seil|corde|cuerda > rope
am kabel|kabel|poulie|polea > cable
maschine|maskin > machine
sitzend|sittende > seated
liegend > lying
rdl|rdls|romanian dead lift > romanian deadlift
ng > neutral grip
rg > reverse grip
wg > wide grip
bw > bodyweight
fondos > dip
`

/** What a name means that says no more, by agreement: the form most coaches mean by it. */
const NAMES = `
bench press|bench|flat bench|flat bench press|barbell bench|barbell bench press|barbell flat bench press|flat barbell bench press > bench_press_barbell
dumbbell bench|dumbbell bench press|flat dumbbell bench press|flat dumbbell bench|dumbbell flat bench press|dumbbell flat press > bench_press_dumbbell
incline|incline press|incline bench press|incline barbell press|incline barbell bench press|incline barbell bench > incline_press_barbell
incline dumbbell press|incline dumbbell bench press|incline dumbbell > incline_press_dumbbell
overhead press|barbell overhead press|strict press|standing overhead press|standing barbell overhead press > overhead_press_barbell
dumbbell overhead press|seated dumbbell overhead press|seated overhead dumbbell press|seated dumbbell press > overhead_press_dumbbell
machine press|chest press|chest press machine > machine_chest_press
overhead press machine > machine_overhead_press
dip|bar dip|parallel dip|weighted dip > dip
chin up|weighted chin up|underhand pull up > chin_up
pull up|weighted pull up|wide grip pull up|wide pull up > pull_up
neutral grip chin up|neutral pull up > neutral_chin_up
lateral raise|dumbbell lateral raise|standing lateral raise > lateral_raise_dumbbell
cable lateral raise|lateral raise cable > lateral_raise_cable
machine lateral raise > lateral_raise_machine
rear fly machine|machine rear fly|reverse machine fly > rear_fly_machine
dumbbell rear fly|chest supported rear fly > rear_fly_dumbbell
pushdown|cable pushdown|straight bar pushdown|v bar pushdown > pushdown_bar
rope pushdown|cable rope pushdown > pushdown_rope
one arm cable pushdown|one arm pushdown > pushdown_single
reverse grip pushdown > pushdown_reverse_grip
skull crusher|cambered bar skull crusher|lying extension|cambered bar lying extension > lying_extension_cambered
dumbbell skull crusher|lying dumbbell extension > lying_extension_dumbbell
overhead rope extension|rope overhead extension|overhead cable extension rope|cable overhead extension rope|overhead cable rope extension > overhead_extension_rope
dumbbell overhead extension|overhead dumbbell extension|seated overhead dumbbell extension|two hand overhead dumbbell extension > overhead_extension_dumbbell
one arm overhead dumbbell extension|one arm overhead extension > overhead_extension_dumbbell_single
cambered bar overhead extension > overhead_extension_cambered
dumbbell kickback|kickback > kickback_dumbbell
barbell curl|straight bar curl|standing barbell curl|strict barbell curl > barbell_curl
cambered bar curl|standing cambered bar curl > cambered_bar_curl
dumbbell curl|alternating dumbbell curl|standing dumbbell curl|seated dumbbell curl|alternate dumbbell curl > dumbbell_curl
incline curl|incline dumbbell curl|seated incline curl|seated incline dumbbell curl > incline_dumbbell_curl
preacher curl|preacher|cambered bar preacher curl|preacher cambered bar curl > preacher_curl_bar
dumbbell preacher curl|one arm preacher curl|one arm dumbbell preacher curl > preacher_curl_dumbbell
machine curl|preacher curl machine > machine_curl
cable curl|cable bar curl|standing cable curl > cable_curl
one arm cable curl > cable_curl_single
hammer curl|dumbbell hammer curl|standing hammer curl|seated hammer curl > hammer_curl
rope hammer curl|cable hammer curl|rope curl > rope_hammer_curl
cross body hammer curl|crossbody hammer curl > cross_body_hammer_curl
reverse curl|barbell reverse curl|cambered bar reverse curl > reverse_curl
spider curl > chest_supported_curl
narrow grip push up|narrow push up|diamond push up > narrow_push_up
concentration curl > concentration_curl
barbell row|bent over row|bent over barbell row > barbell_row
dumbbell row|one arm dumbbell row|one arm row > dumbbell_row
cable row|seated row|seated cable row|low row > seated_cable_row
machine row|chest supported machine row > machine_row
chest supported row|chest supported dumbbell row|seal row > chest_supported_row
lat pulldown|pulldown|wide grip pulldown|wide grip lat pulldown|wide pulldown > pulldown_wide
narrow grip pulldown|underhand pulldown|reverse grip pulldown|supinated pulldown > pulldown_supinated
neutral grip pulldown|neutral grip lat pulldown > pulldown_neutral
straight arm pulldown|stiff arm pulldown > straight_arm_pulldown
face pull|cable face pull|rope face pull > face_pull
shrug|dumbbell shrug > shrug_dumbbell
squat|back squat|barbell squat|barbell back squat|high bar squat > squat_barbell
split squat|rear foot raised split squat > split_squat_rear_foot
leg curl lying|lying leg curl > leg_curl_lying
seated leg curl > leg_curl_seated
romanian deadlift|barbell romanian deadlift|stiff leg deadlift > romanian_deadlift
dumbbell romanian deadlift > romanian_deadlift_dumbbell
deadlift|conventional deadlift > deadlift
hip thrust|barbell hip thrust > hip_thrust
back extension|hyperextension|hyper > back_extension
standing calf raise > calf_raise_standing
seated calf raise > calf_raise_seated
wrist curl > wrist_curl
farmers walk|farmer walk|farmers carry|farmer carry > farmers_carry
`

type Row = readonly [spelling: string, meant: string]
const rowsOf = (table: string): readonly Row[] =>
  table
    .trim()
    .split('\n')
    .flatMap(line => {
      const [written = '', meant = ''] = line.split(' > ')
      return written.split('|').map((spelling): Row => [spelling.trim(), meant.trim()])
    })

/** Spellings and what they mean, longest first. */
export const SPELLINGS: readonly Row[] = [...rowsOf(WORDS)].sort(
  ([a], [b]) => b.split(' ').length - a.split(' ').length,
)
/** Names by agreement and the id of the exercise that is meant. */
export const AGREED_NAMES: readonly Row[] = rowsOf(NAMES)

/** Words that say which kind of movement it is: where one stands behind the sets, the line holds another exercise. */
export const MOVEMENT_WORDS: ReadonlySet<string> = new Set(
  'curl press row extension pushdown raise fly dip pull pulldown up squat deadlift thrust kickback crusher pullover shrug crunch plank hang carry roller lunge bridge'.split(
    ' ',
  ),
)
/** Words that change nothing about which exercise it is. */
export const FILLERS: ReadonlySet<string> = new Set(
  'the a an with w on at of to for and your from using am im mit auf strict slow heavy light'.split(
    ' ',
  ),
)
/** Muscles named besides: `triceps pushdown` is a pushdown. */
export const MUSCLE_WORDS: ReadonlySet<string> = new Set(['tricep', 'bicep'])
