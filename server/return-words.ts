/** Short, plain words that are easy to spell, for return words: three of them give 58 million combinations. */
export const RETURN_WORDS: readonly string[] = `
  acorn alder amber anchor anvil apple apron arbor arrow ash aspen aster autumn badge badger bagel
  bamboo banner barley barn basil basin basket bay beach beacon beaver beech beetle bell bench berry
  birch bison blanket blossom bluebell boat bobbin bonfire boot bottle boulder branch brass bread
  breeze brick bridge brook broom brush bucket bugle butter button cabin cable cactus camel canal
  candle canoe canvas carbon carpet carrot castle cedar cello chalk cherry chestnut chimney cider
  cinder cinnamon circle cliff clock cloud clover coast cobalt cocoa comet compass copper coral cork
  cotton cove cradle crane crater crayon creek cricket crocus crow crown crystal cuckoo cup curlew
  current cushion daisy dawn delta desk diamond dinghy dolphin donkey dove dragon drift drum dune
  eagle echo eel elbow elder elm ember engine estuary falcon feather fennel fern ferry fiddle field
  fig finch fjord flag flame flint flock flute fog forest fossil fountain fox frost galaxy gale
  garden garlic garnet gate gecko geyser ginger glacier glove goat gorse granite grape gravel grove
  gull hammer harbour hare harp harvest hawk hazel heath hedge heron hill hinge holly honey hood
  horizon hornet island ivory ivy jacket jade jetty jigsaw juniper kayak kelp kestrel kettle kiosk
  kite ladder lagoon lake lamp lantern lark laurel lava lemon lens lentil lichen lilac lily lime
  linen lion lizard lobster locket lotus lupin lynx magnet magpie mango maple marble marsh meadow
  medal melon meteor mill mint mirror mitten moon moss moth mountain mustard nectar needle nest
  nettle nickel nutmeg oak oar oasis oat ocean olive onion opal orbit orchard osprey otter owl oyster
  paddle palm pansy paper parcel parsley pear pearl pebble pencil pepper petal pier pigeon pillow
  pine planet plum pocket pond poplar poppy prairie prism puffin pumpkin quail quartz quilt rabbit
  radio radish raft rain raven reed reef ribbon ridge ripple river robin rocket rope rose rudder
  saddle saffron sail salmon sand sandal sapphire satchel scarf seal seed shadow shell shore silver
  skate skylark slate sleet snow sorrel sparrow spice spider spiral spoon spring spruce squirrel star
  stone storm straw stream sugar summer sunset swan swift table tartan tea teapot tern thistle
  thunder thyme tide tiger timber toast topaz torch tower trout tulip tunnel turnip turtle valley
  vanilla velvet violet violin wagon walnut walrus water wave wharf wheat whistle willow window
  winter wool wren yarrow zebra zinc
`
  .trim()
  .split(/\s+/);
